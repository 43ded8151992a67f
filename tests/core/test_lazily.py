"""Faces and places to stand of a block, found when they are asked for."""

import gc
import weakref

import pytest

from conftest import box, exercise_of
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.box.front import FrontBox
from orthopsis.core.things.lazily import Lazily


def house(name: str = "House") -> FrontBox:
    standing = prepare(exercise_of(box(name, 80.0, 40.0, 60.0, 70.0, depth_by="measured", depth=30.0))).things[0]
    assert isinstance(standing.standing, FrontBox)
    return standing.standing


def test_each_answer_is_found_once_and_only_when_it_is_asked_for() -> None:
    asked, found = list[str](), dict[str, str]()
    answers = Lazily(("one", "two"), lambda key: asked.append(key) or key.upper(), found)  # type: ignore[func-returns-value]
    assert list(answers) == ["one", "two"]
    assert (len(answers), asked) == (2, [])
    assert [answers["two"], answers["two"], answers.get("two")] == ["TWO"] * 3
    assert (asked, found) == (["two"], {"two": "TWO"})
    assert dict(answers) == {"one": "ONE", "two": "TWO"}


def test_what_is_not_there_is_not_looked_for() -> None:
    answers = Lazily((), lambda key: pytest.fail(f"{key} was looked for"), dict[str, str]())
    assert answers.get("three") is None
    with pytest.raises(KeyError):
        answers["three"]


def test_a_face_is_the_same_one_however_often_it_is_asked_for() -> None:
    standing = house()
    assert standing.faces["front"] is standing.faces["front"]
    assert {panel.turned for panel in standing.faces.values()} == {"front", "left", "right", "bottom", "top"}
    assert standing.faces["ground"].is_ground
    assert standing.joints["in_line"] is standing.joints["in_line"]
    assert set(standing.joints) >= {"on_top", "beside_right", "in_line"}


def test_a_block_goes_by_itself_when_nobody_holds_it() -> None:
    """A serving process looks for garbage rarely: what held itself would pile up while a hand drags."""
    made = house("A block of its own")
    block = type(made)(made.values, made.setting)
    _ = list(block.faces.values()), list(block.joints.values()), block.solid
    gone = weakref.ref(block)
    gc.disable()
    try:
        del block
        assert gone() is None
    finally:
        gc.enable()
