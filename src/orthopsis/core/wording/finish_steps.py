"""What a teacher says while the sheet is finished: take away, darken, tone."""

from orthopsis.core.wording.step import StepPhrases

OPENINGS = (
    " Rub out the line across the foot of each opening.",
    " Erase the foot line where an opening goes down to the ground.",
    " An opening that goes down to the ground has no foot line: erase that too.",
)
"""What else is taken away where a wall is open down to the ground, for each level."""

CARVED = (
    " Rub out what is left of the blocks.",
    " Erase what is left of the blocks from which things were carved.",
    " Erase also the rest of the blocks that were carved.",
)
"""What else is taken away where a thing was carved from a block, for each level."""
ONE_SHADE = (
    " Where two shadows lie over each other, rub out the lines inside.",
    " Erase the edges of a shadow inside another one: both are one dark field.",
    " Erase also the edges of one shadow within another one.",
)
"""What else is taken away where shadows lie over each other, for each level."""

FAR_LIGHTER = (
    " Shade things that are far away a little less.",
    " Tone things that are far away a step lighter: the air between makes them pale.",
    " Far things a step lighter each: aerial perspective.",
)
"""What else is said of toning where far things are toned lighter, for each level."""

FINISH: dict[str, StepPhrases] = {
    "take_away": StepPhrases(
        "Take away what is not seen",
        (
            "Rub out the light lines behind the things and the lines that go on to the [vanishing point].{more}",
            "Erase what cannot be seen: the [guide lines] beyond the back, hidden edges, the [eye level] behind "
            "things.{more}",
            "Erase the rest of the [guide lines], hidden edges, and the [eye level] where a thing stands before "
            "it.{more}",
        ),
        "Nothing shows through a solid thing.",
        "Rubbing out edges that stay: cover them with a slip of paper.",
        "eraser",
    ),
    "take_away_some": StepPhrases(
        "Take away what is not seen",
        (
            "Rub out the lines that go on to the [vanishing point], and what is behind the solid things. What one "
            "sees through stays.{more}",
            "Erase the [guide lines] beyond the back, and of the solid things what cannot be seen. What is "
            "see-through or open keeps its inner edges.{more}",
            "Erase the rest of the [guide lines], and, of the solid things only, the hidden edges and the [eye level] "
            "behind them; the others keep all their edges.{more}",
        ),
        "Nothing shows through a solid thing; through the others all does.",
        "Rubbing out edges that stay: cover them with a slip of paper.",
        "eraser",
    ),
    "take_away_none": StepPhrases(
        "Take away the light lines",
        (
            "Rub out the lines that go on to the [vanishing point]. All edges stay, those behind too.{more}",
            "Erase the [guide lines] beyond the back. All edges stay, also those behind: everything must "
            "connect.{more}",
            "Erase the rest of the [guide lines]. All edges stay, the hidden ones too: they show whether everything "
            "connects.{more}",
        ),
        "What is see-through shows all its edges.",
        "Rubbing out edges that stay: cover them with a slip of paper.",
        "eraser",
    ),
    "darken": StepPhrases(
        "Darken {lines}",
        (
            "Go over the lines that stay with a dark pencil. Use the ruler.",
            "Darken the lines that stay, with the ruler: {lines}.",
            "Darken all {lines} that stay, the near ones strongest.",
        ),
        "Light lines are for finding, dark lines are for keeping.",
        "Overshooting corners.",
        "ruler and dark pencil",
    ),
    "darken_sketch": StepPhrases(
        "Darken what stays",
        (
            "Go over what stays with a dark pencil.",
            "Darken what stays, by hand.",
            "Darken what stays, the near parts strongest.",
        ),
        "Light lines are for finding, dark lines are for keeping.",
        "Pressing hard all over: what is far stays lighter.",
        "dark pencil",
    ),
    "tone_ahead": StepPhrases(
        "Tone: one for each direction, against the sun",
        (
            "Shade the sides. The sun shines toward you: what you see is in the shade, and tops are light.",
            "Give each direction of face one tone, the same for all things. The sun stands ahead, on the {light}: "
            "sides turned to you are in the shade, tops stay light.",
            "Tone by direction of face, against the sun on the {light}: tops stay white, what is turned to you is "
            "dark.",
        ),
        "One tone for each direction of face.",
        "Leaving the sides white that are turned to you, away from the sun.",
        "pencil or coloured pencil",
    ),
    "tone_by_lamp": StepPhrases(
        "Tone: light toward the lamp",
        (
            "Shade the sides. Sides that face the lamp stay light, those turned away get dark [grey].",
            "Leave the sides light that are turned to the lamp, and make those dark that are turned away from it.",
            "Tone by the lamp: tops white, sides toward it light, the far sides darkest.",
        ),
        "What is turned to the lamp is light.",
        "Toning all left sides alike: the lamp stands between them.",
        "pencil or coloured pencil",
    ),
    "tone": StepPhrases(
        "Tone: one for each direction",
        (
            "Shade the sides. Sides that face the same way get the same [grey].",
            "Give each direction of face one tone, the same for all things; the light comes from the {light}.",
            "Tone by direction of face, light from the {light}: tops stay white, fronts light, the far side darkest.",
        ),
        "One tone for each direction of face.",
        "Two things with the shadow on different sides.",
        "pencil or coloured pencil",
    ),
}
