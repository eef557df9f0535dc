"""`./invelo predict`: from a tested set or hold to another, for scripts."""

from pydantic import BaseModel, Field, TypeAdapter

from invelo.core.body import Body
from invelo.core.errors import InputError
from invelo.core.estimate import Estimate
from invelo.core.ladder import relative_range
from invelo.core.lever import predict_hold
from invelo.core.reps import Capacity, RepResult, speaking
from invelo.core.rung import push_up_load
from invelo.exchange.setups import (
    BodyRequest,
    Lever,
    Movement,
    PushUp,
    Range,
    Request,
    TempoSeconds,
    tempo_of,
)


class TestedPushUp(PushUp):
    """Push-ups that were done."""

    reps: float = Field(examples=[12])
    tempo: TempoSeconds = None
    effort: float = Field(10.0, description="1–10; reps in reserve are added.")


class TestedLever(Lever):
    """A lever that was held."""

    hold_s: float = Field(examples=[20])


class WantedPushUp(PushUp):
    """Push-ups to predict."""

    tempo: TempoSeconds = None


class PredictRequest(Request):
    """From what was tested to what is wanted; both of one kind."""

    body: BodyRequest
    tested: TestedPushUp | TestedLever = Field(alias="from", discriminator="movement")
    wanted: WantedPushUp | Lever = Field(alias="to", discriminator="movement")


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
        return _reps(body, tested, wanted, version)
    if isinstance(tested, TestedLever) and isinstance(wanted, Lever):
        if tested.movement != wanted.movement:
            raise _apart(tested, wanted)
        expected = predict_hold(body, tested.setup.core(), tested.hold_s, wanted.setup.core())
        return PredictAnswer(
            hold_s=_range(expected),
            note=expected.derivation.note or None,
            model_version=version,
        )
    raise _apart(tested, wanted)


def _reps(body: Body, tested: TestedPushUp, wanted: WantedPushUp, version: str) -> PredictAnswer:
    here, there = (push_up_load(body, one.setup.core()) for one in (tested, wanted))
    done = RepResult(
        here.top.likely,
        tested.reps,
        tempo_of(tested.tempo),
        tested.effort,
        here.top.low,
        here.top.high,
    )
    expected = Capacity(done).predict(
        there.top.likely, tempo_of(wanted.tempo), relative_range(there, here)
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


def _apart(tested: Movement, wanted: Movement) -> InputError:
    return InputError(
        "to",
        f"a {wanted.movement} is limited by another measure than a {tested.movement}.",
        "Name the same movement in “from” and “to”.",
    )
