"""What is said of what a class needs, and of the care that it takes."""

MATERIALS: dict[str, tuple[str, str]] = {
    "sheets": ("{count} sheets of {size}", "one for each student, and some to begin anew"),
    "strips": ("{count} strips of paper, {size}", "to tape on, for the points beside the sheet"),
    "tape": ("Masking tape", "it comes off again without tearing the sheet"),
    "rulers": ("{count} rulers of {size}", "they reach from the farthest corner to its point"),
    "set_squares": ("{count} set squares", "for lines that are level or upright"),
    "see_through": ("{count} see-through rulers", "for lines that run like another one"),
    "compasses": ("{count} compasses", "for circles about a point"),
    "hard_pencils": ("{count} hard pencils, sharp", "for light lines"),
    "soft_pencils": ("{count} soft pencils or liners", "for what is darkened and toned"),
    "erasers": ("{count} erasers", "and a slip of paper each, to cover what stays"),
}
"""What is laid out, and why, by its key."""

CAUTIONS: dict[str, str] = {
    "knife": "Strips are cut with a knife or a trimmer by an adult, or under an adult's eye: metal rule, cutting mat, "
    "fingers behind the rule.",
    "liners": "Who darkens with permanent markers works by an open window.",
    "compasses": "Compasses are carried closed and put away with their points covered; pencils lie point down.",
    "curves": "A compass, if one is used to try a curve, is put away with its point covered; pencils lie point down.",
    "building": "A drawing is no design: how a house is built, codes and licensed people decide.",
    "school": "The rules of your school come first.",
}
"""The usual care, by its key."""
