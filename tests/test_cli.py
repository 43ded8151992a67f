"""The command line: the same core without a browser, with exit status 0 or 2."""

import json
from pathlib import Path

import pytest

from orthopsis.cli import main
from orthopsis.core.document.document import Exercise
from orthopsis.core.document.schema import exercise_schema


@pytest.fixture
def file(tmp_path: Path, crates: Exercise) -> Path:
    """An exercise file."""
    path = tmp_path / "crates.json"
    path.write_text(json.dumps(crates.document()))
    return path


@pytest.mark.parametrize("form", ["json", "svg", "pdf", "png", "dxf", "obj"])
def test_solve_writes_every_format(file: Path, form: str) -> None:
    out = file.with_name(f"out.{form}")
    assert main(["solve", str(file), "-o", str(out)]) == 0
    assert out.stat().st_size > 500


def test_simulate_and_check_agree_on_the_truth(file: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["simulate", str(file), "--students", "2", "--seed", "4", "-o", str(tmp_path / "pile")]) == 0
    photos = sorted((tmp_path / "pile").glob("*.jpg"))
    assert len(photos) == 2
    truth = json.loads(photos[0].with_suffix("").with_suffix(".truth.json").read_text())
    capsys.readouterr()
    assert main(["check", str(file), str(photos[0]), "--json"]) == 0
    answer = json.loads(capsys.readouterr().out)
    assert answer["sheet"]["found_by"] == "marks"
    assert {"at", "sd_mm", "expected"} <= set(answer["vanishing_points"]["point"])
    assert {"from", "to", "matched", "verdict", "miss_mm", "allowed_mm", "angle_deg"} <= set(answer["lines"][0])
    matched = {line["matched"] for line in answer["lines"]}
    drawn = {line["name"] for line in truth["lines"]}
    assert len(drawn & matched) >= len(drawn) - 3
    corners = [str(v) for corner in truth["corners_px"] for v in corner]
    assert main(["check", str(file), str(photos[0]), "--corners", *corners]) == 0


def test_schema_is_printed(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["schema"]) == 0
    assert json.loads(capsys.readouterr().out) == exercise_schema()


def test_what_cannot_be_used_ends_with_2_and_a_reason(
    file: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    newer = tmp_path / "newer.json"
    newer.write_text('{"schema": "orthopsis/exercise/3"}')
    impossible = tmp_path / "impossible.json"
    document = json.loads(file.read_text())
    document["things"][0]["depth"] = 900
    impossible.write_text(json.dumps(document))
    wrong = tmp_path / "a.jpg"
    wrong.write_bytes(b"not a picture")
    for arguments in (
        ["solve", "nowhere.json"],
        ["solve", str(newer)],
        ["solve", str(impossible)],
        ["solve", str(file), "-o", "out.exe"],
        ["solve", str(file), "-o", "/nowhere/out.svg"],
        ["check", str(file), str(wrong)],
        ["simulate", str(file), "--students", "0", "-o", str(tmp_path)],
    ):
        assert main(arguments) == 2, arguments
        message = capsys.readouterr().err
        assert message.startswith("orthopsis: ")
        assert len(message) > 30
