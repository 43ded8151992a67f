"""How many of ten thousand requests that nobody would make does the application fail at?"""

import argparse
import os
import re
import subprocess
import sys
from pathlib import Path

from report import report

TEST = Path(__file__).parents[1] / "tests" / "app" / "test_any_request.py"


def main() -> None:
    """Print how many were asked, and whether one was answered with a failure."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--cases", type=int, default=10_000)
    cases = parser.parse_args().cases
    # Negative cases are not made where a request takes nothing: a quarter more are asked for.
    done = subprocess.run(
        [sys.executable, "-m", "pytest", "-q", "-s", str(TEST)],
        env={**os.environ, "ORTHOPSIS_TEST_CASES": str(cases * 5 // 4)},
        capture_output=True, text=True, check=False,
    )  # fmt: skip
    found = re.search(r"(\d+) requests to (\d+) operations", done.stdout)
    if done.returncode or not found:
        print(done.stdout[-4000:])
        report("hostile.failures", 1, "answers", "0", False, "stopped at the first failure")
        return
    asked, operations = found.groups()
    report("hostile.failures", 0, "answers", "0", True, f"{asked} requests to {operations} operations")


if __name__ == "__main__":
    main()
