"""How the sheet itself is made ready: margin, fold, centre, and the eye level over it."""

from orthopsis.core.construct.moves import EYE_LEVEL, Across, Act, Cross, Measure, Rule
from orthopsis.core.scene.prepared import Prepared

MARGIN = ("margin bottom", "margin right", "margin top", "margin left")
FOLD = "fold"
SAME_MM = 1e-6

Told = tuple[str, Act]


def sheet_moves(prepared: Prepared, reach: tuple[float, float]) -> list[Told]:
    """Return the acts, each with its breath, up to the eye level.

    Args:
        reach: from where to where the eye level is ruled, mm from the left edge: over taped strips too.
    """
    spec = prepared.exercise.sheet
    told: list[Told] = []
    if spec.margin_mm > 0:
        told += [("setup.margin", act) for act in _margin(prepared, spec.margin_mm)]
    if spec.fold == "folded":
        told += [("setup.fold", act) for act in _upright(prepared, FOLD)]
    if spec.centre != "none":
        told += [(f"setup.centre_{spec.centre}", act) for act in _centre(prepared, spec.centre)]
    return told + _eye_level(prepared, reach)


def _margin(prepared: Prepared, margin: float) -> list[Act]:
    width, height = prepared.sheet.width_mm, prepared.sheet.height_mm
    corners = [(margin, margin), (width - margin, margin), (width - margin, height - margin), (margin, height - margin)]
    acts: list[Act] = [Measure(f"@margin {i}", x, y) for i, (x, y) in enumerate(corners)]
    for i, name in enumerate(MARGIN):
        family = "upright" if i % 2 else "level"
        acts.append(Rule(name, f"@margin {i}", f"@margin {(i + 1) % 4}", family, "construction"))
    return acts


def _upright(prepared: Prepared, name: str) -> list[Act]:
    """Return the acts that rule the upright through the middles of the bottom and the top edge."""
    half, height = prepared.sheet.width_mm / 2, prepared.sheet.height_mm
    low, high = f"@{name} low", f"@{name} high"
    return [Measure(low, half, 0.0), Measure(high, half, height), Rule(name, low, high, "upright", "construction")]


def _centre(prepared: Prepared, how: str) -> list[Act]:
    width, height = prepared.sheet.width_mm, prepared.sheet.height_mm
    first, second = "centre line 1", "centre line 2"
    if how == "halving":
        across: list[Act] = [
            Measure("@half left", 0.0, height / 2),
            Measure("@half right", width, height / 2),
            Rule(second, "@half left", "@half right", "level", "construction"),
        ]
        return [*_upright(prepared, first), *across, Cross("@centre", first, second)]
    corners = {
        "low left": (0.0, 0.0),
        "high right": (width, height),
        "high left": (0.0, height),
        "low right": (width, 0.0),
    }
    return [
        *(Measure(f"@{name}", x, y) for name, (x, y) in corners.items()),
        Rule(first, "@low left", "@high right", "free", "construction"),
        Rule(second, "@high left", "@low right", "free", "construction"),
        Cross("@centre", first, second),
    ]


def _eye_level(prepared: Prepared, reach: tuple[float, float]) -> list[Told]:
    height, width = prepared.eye_level_mm, prepared.sheet.width_mm
    is_through_centre = (
        prepared.exercise.sheet.centre != "none" and abs(height - prepared.sheet.height_mm / 2) <= SAME_MM
    )
    breath = "setup.eye_level_through_centre" if is_through_centre else "setup.eye_level"
    acts = (
        Measure("@left mark", 0.0, height),
        Measure("@right mark", width, height),
        Across(EYE_LEVEL, "@left mark", *reach),
    )
    return [(breath, act) for act in acts]
