"""What a teacher says while eaves are drawn over the top of a house."""

from orthopsis.core.wording.step import StepPhrases

EAVES: dict[str, StepPhrases] = {
    "eaves.corner": StepPhrases(
        "their {low_corner}, {over} out",
        (
            "Draw two light lines across the top of {other}, from corner to corner. Carry the one through the "
            "{low_corner} on, out of the house. Measure {over} there. Make a mark.",
            "Cross the diagonals of the top of {other}, lightly. Carry the one through the {low_corner} on, and mark "
            "{over} from that corner: there is the corner of the eaves.",
            "The top's diagonals; {over} past its {low_corner}, on the diagonal carried on, is a corner of the eaves.",
        ),
        "Eaves are as the top of the house, only larger: their corners lie on its diagonals, carried on.",
        "Measuring along the wall's edge: then the corner does not lie on the diagonal.",
        "ruler, pencil light",
    ),
    "eaves.under": StepPhrases(
        "their two lower edges",
        (
            "Carry the other diagonal on too, at both its ends, lightly. From the mark draw one line {along} and one "
            "{up_way}. Both stop at this diagonal. Count: {count}, two edges and two bits of the diagonal.",
            "From there draw an edge {along} and one {up_way}, each until it meets the other diagonal, carried on "
            "lightly: {lines}, two of them edges.",
            "Edges {along} and {up_way} from there to the other diagonal, carried on: {lines}.",
        ),
        "Each edge of the eaves runs as the edge of the house under it.",
        "Stopping over the house's own corners: eaves stand out there as well.",
        "ruler and set square",
    ),
    "eaves.far": StepPhrases(
        "the lower edges behind",
        (
            "From the two new corners draw one line {up_way} and one {along}. They cross at the corner behind. "
            "Count: {count}.",
            "Close the underside: from the two new corners {up_way} and {along}, to their crossing: {lines}.",
            "The underside's other edges, {up_way} and {along}, to their crossing: {lines}.",
        ),
        "The corner behind lies on the first diagonal, carried on: that shows whether it is right.",
        "Drawing these edges like those in front on the paper.",
        "ruler and set square",
    ),
    "eaves.thick": StepPhrases(
        "how thick they are, {thick}",
        (
            "Go {upright} from the {low_corner} of the eaves and measure {thick}. Draw this line.",
            "From the {low_corner} of the eaves draw an [upright], {thick} tall.",
            "The [upright] at the {low_corner}: {thick}.",
        ),
        "Eaves are a slab: they have a thickness.",
        "Drawing them as thick as they are wide.",
        "ruler and set square",
    ),
    "eaves.top": StepPhrases(
        "their upper edges",
        (
            "From the top of this line draw one line {along} and one {up_way}. They stop over the next corners. Draw "
            "the lines {upright} there, and what you see of the rest of the top. Count: {count}.",
            "From its top draw edges {along} and {up_way}, over the next corners; draw the uprights there, and what "
            "is seen of the rest of the top: {lines}.",
            "The upper edges {along} and {up_way}, the uprights at the next corners, and what is seen of the rest: "
            "{lines}.",
        ),
        "The upper edges run as the lower ones do; the slab gets thinner with distance.",
        "Keeping the same thickness on the paper all along.",
        "ruler and set square",
    ),
}
