"""A comparison of plans as words, JSON and a drawing; run by the command, stopped at will."""

import json
import xml.etree.ElementTree as ET
from dataclasses import replace

import pytest

from invelo.domain.simulation.compare import CANDIDATES, Question, lines, lived, seasons
from invelo.formats.scripts.simulation import CAUTION, Comparison, chart, comparison, table
from invelo.jobs import simulating
from tests.command import invelo

SMALL = Question(("fixed", "linear", "failure"), athletes=3, weeks=6, seed=5)


@pytest.fixture(scope="module")
def told() -> Comparison:
    return comparison(SMALL, lines(SMALL, seasons(SMALL)))


def test_json_names_units_and_says_what_it_is_not(told: Comparison) -> None:
    body = json.loads(told.model_dump_json())
    assert body["format"] == "invelo-simulation-1"
    assert body["caution"] == CAUTION
    assert set(body["units"]) <= set(body["plans"][0])
    for plan in body["plans"]:
        for name in ("criteria", "spikes", "pain_events"):
            figure = plan[name]
            assert figure["low"] <= figure["likely"] <= figure["high"]


def test_the_table_has_a_row_a_plan_and_straight_columns(told: Comparison) -> None:
    text = table(told)
    rows = [line for line in text.splitlines() if line.startswith(("plan", "fixed", "lin", "pure"))]
    assert len(rows) == 4
    assert len({len(row) for row in rows}) == 1
    assert CAUTION in text


def test_the_drawing_is_svg_with_a_bar_a_figure(told: Comparison) -> None:
    root = ET.fromstring(chart(told))
    bars = root.findall("{http://www.w3.org/2000/svg}rect")
    assert len(bars) == 1 + 3 * len(told.plans)  # and the paper
    assert "fixed repeat" in chart(told)


def run(*arguments: str):
    return invelo("simulate", *arguments)


FEW = ("--plans", "fixed,linear", "--athletes", "2", "--weeks", "4")


def test_the_same_seed_gives_the_same_bytes() -> None:
    first, again = (run(*FEW, "--seed", "3", "--json") for _ in range(2))
    assert first.exit_code == 0
    assert first.stdout == again.stdout
    assert run(*FEW, "--seed", "4", "--json").stdout != first.stdout


def test_over_two_processes_it_is_the_same() -> None:
    question = replace(SMALL, athletes=2, weeks=4)
    assert simulating.run(question, 2) == simulating.run(question, 1)


def test_a_table_and_a_drawing_come_of_one_run(tmp_path) -> None:
    path = tmp_path / "plans.svg"
    done = run(*FEW, "--chart", str(path))
    assert "linear weekly growth" in done.stdout
    assert ET.parse(path).getroot().tag.endswith("svg")


def test_the_plans_there_are_can_be_listed() -> None:
    shown = run("--list").stdout
    assert all(one in shown for one in CANDIDATES)


@pytest.mark.parametrize(
    ("arguments", "words"),
    [
        (("--plans", "luck"), "there is no “luck”"),
        (("--athletes", "1"), "athletes"),
        (("--weeks", "500"), "weeks"),
        (("--seed", "-3"), "seed"),
    ],
)
def test_impossible_questions_name_the_field(arguments: tuple[str, ...], words: str) -> None:
    done = run(*arguments)
    assert done.exit_code == 2
    assert words in done.output


def test_stopped_it_tells_what_was_done(monkeypatch: pytest.MonkeyPatch) -> None:
    """Ctrl-C after four seasons: two athletes on two plans each."""
    question = Question(("fixed", "linear"), athletes=5, weeks=4, seed=3)

    def four(_: Question, __: object):
        for i, work in enumerate(seasons(question)):
            if i == 4:
                raise KeyboardInterrupt
            yield work

    monkeypatch.setattr(simulating, "seasons", four)
    told, whole = simulating.run(question)
    assert not whole
    assert [plan.plan for plan in told.plans] == ["fixed", "linear"]


def test_a_season_is_lived_by_itself_the_same() -> None:
    from invelo.domain.simulation.cast import cast

    member = cast(2, 5, 6)[1]
    alone = lived(("linear", member, 6))
    among = [one for one in seasons(replace(SMALL, athletes=2)) if one.athlete == 1]
    assert alone in among
