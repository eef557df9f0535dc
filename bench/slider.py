"""From a slider on the Bench to the new figure on the page, in a real browser.

Each round types a height that was not asked before and waits until the page has drawn the answer to
it. The reference is a request of the same page that computes nothing.
"""

import statistics

from tests.browser.pictures import demo

from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD

ROUNDS = 150
LABEL = "surface under the hands"

ROUND_TRIPS = """
const [label, rounds] = arguments, done = arguments[2];
const field = document.getElementById(
  [...document.querySelectorAll('label')].find((one) => one.textContent === label).htmlFor);
const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
const drawing = document.querySelector('[data-settled]');
const settled = () => new Promise((drawn) => {
  const look = () => drawing.dataset.settled === 'true' && (watch.disconnect(), drawn());
  const watch = new MutationObserver(look);
  watch.observe(drawing, {attributes: true});
  look();
});
const frame = () => new Promise(requestAnimationFrame);
(async () => {
  const figures = [], empty = [];
  for (let i = 0; i < rounds; i++) {
    await frame();
    let began = performance.now();
    set.call(field, (i * 0.37 + 0.11).toFixed(2));
    field.dispatchEvent(new Event('input', {bubbles: true}));
    await settled();
    await frame();
    figures.push(performance.now() - began);
    began = performance.now();
    await (await fetch('/api/me')).json();
    await frame();
    empty.push(performance.now() - began);
  }
  done([figures, empty]);
})();
"""


def run() -> dict[str, dict[str, float]]:
    """Milliseconds of both, and their ratio."""
    with demo() as page:
        page.fill("E-mail", COACH_EMAIL)
        page.fill("Password", COACH_PASSWORD)
        page.click("Sign in")
        page.sees("Tilde Varga")
        page.press("4")
        page.find('[data-settled="true"]')
        page.driver.set_script_timeout(120)
        figures, empty = page.driver.execute_async_script(ROUND_TRIPS, LABEL, ROUNDS)
    figures, empty = sorted(figures[5:]), sorted(empty[5:])
    return {
        "slider to new figure, in the browser": {
            "median, ms": statistics.median(figures),
            "p95, ms": figures[int(0.95 * len(figures))],
            "empty request, ms": statistics.median(empty),
            "ratio": statistics.median(figures) / statistics.median(empty),
        }
    }
