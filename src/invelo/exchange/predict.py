"""`./invelo predict`: from a tested set or hold to another, for scripts."""

from pydantic import BaseModel, Field, TypeAdapter

from invelo.core.errors import InputError
from invelo.core.estimate import Estimate
from invelo.core.ladder import Sampled, relative_range
from invelo.core.lever import predict_hold
from invelo.core.reps import Capacity, RepResult, speaking
from invelo.core.row import row_load
from invelo.core.rung import push_up_load
from invelo.exchange.setups import (
    BodyRequest,
    Lever,
    PushUp,
    Range,
    Request,
    Row,
    TempoSeconds,
    tempo_of,
)


class TestedPushUp(PushUp):
    """Push-ups that were done."""

    reps: float = Field(examples=[12])
    tempo: TempoSeconds = None
    effort: float = Field(10.0, description="1–10; reps in reserve are added.")


class TestedRow(Row):
    """Rows that were done."""

    reps: float = Field(examples=[10])
    tempo: TempoSeconds = None
    effort: float = 10.0


class TestedLever(Lever):
    """A lever that was held."""

    hold_s: float = Field(examples=[20])


class WantedPushUp(PushUp):
    """Push-ups to predict."""

    tempo: TempoSeconds = None


class WantedRow(Row):
    """Rows to predict."""

    tempo: TempoSeconds = None


class PredictRequest(Request):
    """From what was tested to what is wanted; both of one kind."""

    body: BodyRequest
    tested: TestedPushUp | TestedRow | TestedLever = Field(alias="from", discriminator="movement")
    wanted: WantedPushUp | WantedRow | Lever = Field(alias="to", discriminator="movement")


requests: TypeAdapter[PredictRequest] = TypeAdapter(PredictRequest)


class PredictAnswer(BaseModel):
    """Reps or seconds; which equations spoke, and what there is to say of the figure."""

    reps: Range | None = None
    hold_s: Range | None = None
    equations: list[str] | None = Field(None, description="Rep equations that spoke.")
    note: str | None = None
    model_version: str


def predict(request: PredictRequest, version: str) -> PredictAnswer:
    """Answer one request.

    Raises:
        InputError: for values out of range, or two movements that do not compare.
    """
    body, tested, wanted = request.body.core(), request.tested, request.wanted
    if isinstance(tested, TestedPushUp) and isinstance(wanted, WantedPushUp):
        here, there = (push_up_load(body, one.setup.core()) for one in (tested, wanted))
        return _reps((here.top, here), (there.top, there), tested, wanted, version)
    if isinstance(tested, TestedRow) and isinstance(wanted, WantedRow):
        start, goal = (row_load(body, one.setup.core()) for one in (tested, wanted))
        return _reps((start.pull, start), (goal.pull, goal), tested, wanted, version)
    if (
        isinstance(tested, TestedLever)
        and isinstance(wanted, Lever)
        and tested.movement == wanted.movement
    ):
        expected = predict_hold(body, tested.setup.core(), tested.hold_s, wanted.setup.core())
        return PredictAnswer(
            hold_s=_range(expected),
            note=expected.derivation.note or None,
            model_version=version,
        )
    raise InputError(
        "to",
        f"a {wanted.movement} is limited by another measure than a {tested.movement}.",
        "Name the same movement in “from” and “to”.",
    )


def _reps(
    here: tuple[Estimate, Sampled],
    there: tuple[Estimate, Sampled],
    tested: TestedPushUp | TestedRow,
    wanted: WantedPushUp | WantedRow,
    version: str,
) -> PredictAnswer:
    load, sampled = here
    done = RepResult(
        load.likely, tested.reps, tempo_of(tested.tempo), tested.effort, load.low, load.high
    )
    expected = Capacity(done).predict(
        there[0].likely, tempo_of(wanted.tempo), relative_range(there[1], sampled)
    )
    return PredictAnswer(
        reps=_range(expected),
        equations=[equation.name for equation in speaking(done.reps_to_failure)],
        note=expected.derivation.note or None,
        model_version=version,
    )


def _range(expected: Estimate) -> Range:
    ends = (expected.spread_low, expected.spread_high)
    return Range(
        low=expected.low,
        likely=expected.likely,
        high=expected.high,
        spread=None if ends[0] is None or ends[1] is None else (ends[0], ends[1]),
    )
