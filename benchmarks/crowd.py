"""How long do people wait at the Desk when many work at once, and is anybody turned away?

Each person types a value, waits for the drawing, saves, and thinks for some seconds before the next; all on this
machine, beside the server.
"""

import argparse
import asyncio
import random
import statistics
import time
from dataclasses import dataclass, field

import httpx2 as httpx

from grids import grid_of_boxes
from orthopsis.core.document.ready import READY
from report import percentile, report
from serving import served

THINKS_S = 5.0
"""Mean time between two acts of one person (no source)."""


@dataclass
class Waits:
    """Milliseconds of each act and each save, and the answers that were no answers."""

    acts: list[float] = field(default_factory=list)
    saves: list[float] = field(default_factory=list)
    turned_away: int = 0


async def person(address: str, cookies: dict[str, str], number: int, until: float, waits: Waits) -> None:
    """Work at an exercise of one's own until the time is over."""
    rng = random.Random(number)
    document = READY[number % 8] if number % 4 else grid_of_boxes(6).document()
    async with httpx.AsyncClient(base_url=address, cookies=cookies, timeout=60) as browser:
        made = (await browser.post("/api/exercises", json={"exercise": document})).json()
        exercise, version = made["exercise"], made["version"]
        await asyncio.sleep(rng.uniform(0, THINKS_S))
        while time.monotonic() < until:
            act = {"op": "type", "path": "eye_level.height_mm", "text": f"{rng.randint(120, 170)} mm"}
            start = time.perf_counter()
            answer = await browser.post("/api/desk/act", json={"exercise": exercise, "act": act})
            waits.acts.append(1000 * (time.perf_counter() - start))
            if answer.status_code == 200:
                exercise = answer.json()["exercise"]
                start = time.perf_counter()
                body = {"base_version": version, "exercise": exercise}
                saved = await browser.put(f"/api/exercises/{made['id']}", json=body)
                waits.saves.append(1000 * (time.perf_counter() - start))
                version = saved.json().get("version", version)
                waits.turned_away += saved.status_code >= 500
            waits.turned_away += answer.status_code >= 500
            await asyncio.sleep(rng.expovariate(1 / THINKS_S))


async def crowd(address: str, people: int, seconds: float) -> Waits:
    """Let so many people work for so long."""
    async with httpx.AsyncClient(base_url=address, timeout=60) as first:
        body = {"login": f"crowd{people}", "name": "Crowd", "password": "net-loft-and-tern"}
        answer = await first.post("/api/sign-in/first", json=body)
        if answer.status_code != 200:
            answer = await first.post("/api/sign-in", json={**body, "login": "crowd20"})
        answer.raise_for_status()
        cookies = dict(first.cookies)
    waits, until = Waits(), time.monotonic() + seconds
    await asyncio.gather(*(person(address, cookies, n, until, waits) for n in range(people)))
    return waits


def main() -> None:
    """Print the figures for 20, 50 and 100 people."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--seconds", type=float, default=30.0)
    options = parser.parse_args()
    with served() as address:
        for people, bar in ((20, None), (50, 300.0), (100, None)):
            waits = asyncio.run(crowd(address, people, options.seconds))
            on = f"{people} people, an act and a save each {THINKS_S:.0f} s, {len(waits.acts)} acts, all on 2 cores"
            p95 = percentile(waits.acts, 95)
            holds = bar is None or p95 <= bar
            report(f"crowd.act_p95_{people}", p95, "ms", f"<={bar:.0f}" if bar else "-", holds, on)
            report(f"crowd.act_p50_{people}", statistics.median(waits.acts), "ms", "-", True, on)
            report(f"crowd.save_p95_{people}", percentile(waits.saves, 95), "ms", "-", True, on)
            away = waits.turned_away
            report(f"crowd.turned_away_{people}", away, "answers", "0", away == 0, on)


if __name__ == "__main__":
    main()
