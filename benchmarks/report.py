"""How a figure is reported: one line, name, value, unit, bar, and whether it holds; then what it was measured on."""

import statistics
import time
from collections.abc import Callable, Sequence


def report(name: str, value: float, unit: str, bar: str, holds: bool, on: str) -> None:
    """Print one figure. ``bar`` is the figure to reach, as text; ``-`` where none is set."""
    print(f"{name}\t{value:.4g}\t{unit}\t{bar}\t{'holds' if holds else 'short'}\t{on}", flush=True)


def times_ms(act: Callable[[], object], runs: int) -> list[float]:
    """Return the milliseconds of each of several runs, after one that warms up."""
    act()
    result = []
    for _ in range(runs):
        start = time.perf_counter()
        act()
        result.append(1000 * (time.perf_counter() - start))
    return result


def percentile(values: Sequence[float], percent: float) -> float:
    """Return a percentile of measured values."""
    return statistics.quantiles(values, n=100, method="inclusive")[round(percent) - 1]
