"""From a pointer move to the new picture on the Desk, in the real browser, server and browser on this machine."""

import statistics
import time

from playwright.sync_api import Page

from grids import boxes_with_windows, grid_of_boxes, rows_of_letters, street, word
from orthopsis.app.launch import rarely_look_for_garbage
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.change import change
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.exercise.solve import draw_picture
from report import percentile, report
from serving import signed_in

MOVES = 150

# Each move is answered before the next is made; the time ends when the frame with the new picture has been painted.
DRAG = """
async ({ label, moves }) => {
  const grip = document.querySelector(`[aria-label="${label}"]`)
  const box = grip.getBoundingClientRect()
  const x = box.x + box.width / 2, y = box.y + box.height / 2
  const send = (type, dx, dy) => grip.dispatchEvent(new PointerEvent(type, {
    bubbles: true, pointerId: 1, clientX: x + dx, clientY: y + dy, isPrimary: true }))
  grip.setPointerCapture = () => {}
  let changed = () => {}
  new MutationObserver(() => changed()).observe(document.querySelector('.table .sheet'), {
    subtree: true, childList: true, attributes: true, attributeFilter: ['d'] })
  const painted = () => new Promise((done) => requestAnimationFrame(() => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = done
    port2.postMessage(0)
  }))
  const times = []
  send('pointerdown', 0, 0)
  for (let i = 0; i < moves; i += 1) {
    const start = performance.now()
    const answered = new Promise((done) => { changed = done; setTimeout(done, 1000) })
    send('pointermove', 40 * Math.sin(i / 3) + (i % 2) * 6, 30 * Math.cos(i / 4))
    await answered
    await painted()
    times.push(performance.now() - start)
  }
  send('pointerup', 0, 0)
  return times
}
"""


def measure(page: Page, address: str, exercise: Exercise, label: str) -> list[float]:
    """Return the milliseconds of each move of a handle."""
    body = {"exercise": exercise.document()}
    made = page.request.post(f"{address}/api/exercises", data=body).json()
    page.goto(f"{address}/desk/{made['id']}")
    page.locator(".handle").first.wait_for()
    page.evaluate(DRAG, {"label": label, "moves": 20})
    return list(page.evaluate(DRAG, {"label": label, "moves": MOVES}))


def moved() -> None:
    """Print what one move costs the server when one of a hundred boxes is moved, and how much it sends."""
    rarely_look_for_garbage()  # as a serving process does
    exercise = grid_of_boxes(100)
    shown = draw_picture(exercise)
    at = next(handle.at for handle in shown.handles if handle.id == "things.50.place")
    times, sizes = [], []
    for i in range(MOVES):
        begin = time.perf_counter()
        exercise = drag_together(exercise, "things.50.place", at[0] + i % 17, at[1] + i % 11, [])
        picture = draw_picture(exercise)
        said = change(shown, picture).model_dump_json(by_alias=True)
        times.append((time.perf_counter() - begin) * 1000)
        sizes.append(len(said) / 1000)
        shown = picture
    on = f"one of 100 boxes moved, median of {MOVES} moves"
    report("drag.moved_100", statistics.median(times), "ms", "<=15", statistics.median(times) <= 15, f"server; {on}")
    report("drag.sent_100", max(sizes), "kB", "<=40", max(sizes) <= 40, f"the most that is sent; {on}")


def main() -> None:
    """Print p50 and p95 of a move from hand to picture, and what a move costs the server among many things."""
    moved()
    with signed_in() as (page, address):
        cases = (
            ("6", grid_of_boxes(6), "Move the box: Box 1", "one of 6 boxes"),
            ("12", grid_of_boxes(12), "Move the box: Box 1", "one of 12 boxes"),
            ("letters_12", rows_of_letters(12), "Move the shape: Letter 1", "one of 12 block letters"),
            ("windows_216", boxes_with_windows(12), "Move the box: Box 1", "one of 12 boxes with 216 windows"),
            ("street_12", street(), "Move the box: Left 1", "one of 12 houses of a street with 200 windows"),
            ("word_12", word("BREAKWATERS8"), "Move the word: Word", "a word of 12 block letters"),
        )
        for name, exercise, label, what in cases:
            times = [t for t in measure(page, address, exercise, label) if t < 1000]
            on = f"{what}, {len(times)} moves, headless Chromium at 1280 x 800"
            report(f"drag.p50_{name}", statistics.median(times), "ms", "-", True, on)
            p95 = percentile(times, 95)
            report(f"drag.p95_{name}", p95, "ms", "<=33", p95 <= 33, on)


if __name__ == "__main__":
    main()
