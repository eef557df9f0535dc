"""A survey of many set-ups tells what a reading of each would."""

import random

import pytest

from invelo.domain.biomechanics.body import AddedLoad, Body
from invelo.domain.biomechanics.dumas import DUMAS
from invelo.domain.biomechanics.posture.form import Form, forms
from invelo.domain.biomechanics.reading import reading, rep_share
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.biomechanics.survey import survey
from invelo.domain.catalogue.movement import Modifiers, sorted_values
from invelo.domain.errors import InputError
from tests.domain.people import AVERAGE

COMPUTED = [one for one in forms().values() if one.counted != "rpe"]
EACH = 30


def asked_of(form: Form, rng: random.Random) -> Modifiers:
    values = {
        one.name: rng.uniform(one.low, one.high) for one in form.parameter if rng.random() < 0.5
    }
    added_load = AddedLoad(**{place: rng.choice([0.0, 5.0]) for place in form.loads})
    share = rng.choice([1.0, 0.5, 0.7]) if form.counted == "reps" else 1.0
    return Modifiers(
        sorted_values(values),
        added_load,
        range=share,
        assistance=rng.choice([None, Assistance(8.0)]),
    )


@pytest.mark.law
@pytest.mark.parametrize("form", COMPUTED, ids=lambda one: one.id)
@pytest.mark.parametrize("body", [AVERAGE, Body(58.0, 1.62, DUMAS["female"])], ids=["w", "d"])
def test_each_row_is_what_its_own_reading_says(form: Form, body: Body) -> None:
    rng = random.Random(form.id)
    rows = [asked_of(form, rng) for _ in range(EACH)]
    told = survey(body, [(form, row) for row in rows])
    for i, row in enumerate(rows):
        setup = row.of_form(form.id)
        try:
            read, share = reading(body, setup), rep_share(body, setup)
        except InputError:
            assert not told.possible[i]
            continue
        assert told.possible[i]
        assert told.demand[i] == pytest.approx(read.demand.likely, rel=1e-12, abs=1e-9)
        assert told.share[i] == pytest.approx(share, rel=1e-12)


def test_set_ups_of_many_forms_keep_their_places() -> None:
    plain = [(form, Modifiers()) for form in COMPUTED for _ in range(2)]
    told = survey(AVERAGE, plain)
    for i, (form, row) in enumerate(plain):
        assert told.demand[i] == pytest.approx(
            reading(AVERAGE, row.of_form(form.id)).demand.likely, abs=1e-9
        )
