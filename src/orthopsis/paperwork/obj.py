"""The solids of an exercise as a Wavefront OBJ, in the world of the eye (mm; x right, y up, z toward the viewer)."""

from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.picture import solve
from orthopsis.core.exercise.setting import prepare


def obj_bytes(exercise: Exercise) -> bytes:
    """Return all things as named groups of faces.

    OBJ is right-handed, so z is turned to point at the viewer and faces keep their outer side.
    In a frame without a stated distance the depth has no true scale; a comment says so.
    """
    solved = solve(prepare(exercise))
    rows = ["# units: millimetres"]
    if not all(frame.is_metric for frame in solved.prepared.frames):
        rows.append("# no viewing distance is stated: depths are drawn for a nominal eye, not measured")
    first = 1
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        rows.append(f"o {placed.values.name.replace(' ', '_')}")
        rows += [f"v {x:.6f} {y:.6f} {-z:.6f}" for x, y, z in seen.solid.places]
        for face in seen.solid.faces:
            rows.append("f " + " ".join(str(first + seen.solid.index(c)) for c in face.corners))
        first += len(seen.solid.names)
    return ("\n".join(rows) + "\n").encode("utf-8")
