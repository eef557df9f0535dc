"""`./invelo predict`: from a tested set or hold to another, for scripts."""

from typing import Annotated

from pydantic import BaseModel, ConfigDict, Discriminator, Field, Tag, TypeAdapter

from invelo.domain.biomechanics.reading import reading
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.rep_equations import speaking
from invelo.domain.strength.reps import Capacity
from invelo.domain.strict import StrictModel, renamed
from invelo.domain.training.amount import AmountDone, told_as
from invelo.formats.scripts.movements import (
    AnyForm,
    Lever,
    PushUp,
    Range,
    Row,
    TempoSeconds,
    kind,
    tempo_of,
)
from invelo.formats.setups import BodyRequest


class _Result(AmountDone):
    """What was done: reps at a tempo, or seconds of a hold."""

    model_config = ConfigDict(json_schema_extra=told_as("reps", "hold_s"))

    tempo: TempoSeconds = None
    rpe: float = Field(
        10.0,
        description="1–10; reps in reserve are added.",
        validation_alias=renamed("rpe", "effort"),
    )


class TestedPushUp(PushUp, _Result):
    """Push-ups that were done."""


class TestedRow(Row, _Result):
    """Rows that were done."""


class TestedLever(Lever, _Result):
    """A lever that was held."""


class TestedForm(AnyForm, _Result):
    """Any form that was done or held."""


class WantedPushUp(PushUp):
    """Push-ups to predict."""

    tempo: TempoSeconds = None


class WantedRow(Row):
    """Rows to predict."""

    tempo: TempoSeconds = None


class WantedForm(AnyForm):
    """Any form to predict."""

    tempo: TempoSeconds = None


Tested = Annotated[
    Annotated[TestedPushUp, Tag("push_up")]
    | Annotated[TestedRow, Tag("row")]
    | Annotated[TestedLever, Tag("lever")]
    | Annotated[TestedForm, Tag("form")],
    Discriminator(kind),
]
Wanted = Annotated[
    Annotated[WantedPushUp, Tag("push_up")]
    | Annotated[WantedRow, Tag("row")]
    | Annotated[Lever, Tag("lever")]
    | Annotated[WantedForm, Tag("form")],
    Discriminator(kind),
]


class PredictRequest(StrictModel):
    """From what was tested to what is wanted; both limited by one measure."""

    body: BodyRequest
    tested: Tested = Field(alias="from")
    wanted: Wanted = Field(alias="to")


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
    done = Done.given(tested.core(), tested.amount, tested.unit, tempo_of(tested.tempo), tested.rpe)
    known = Known(body, done)
    tempo = tempo_of(getattr(wanted, "tempo", None))
    expected = known.expected(reading(body, wanted.core()), tempo)
    note = expected.derivation.note or None
    if isinstance(known.capacity, Capacity):
        spoke = speaking(known.capacity.result.reps_to_failure)
        return PredictAnswer(
            reps=Range.of(expected),
            equations=[equation.name for equation in spoke],
            note=note,
            model_version=version,
        )
    return PredictAnswer(hold_s=Range.of(expected), note=note, model_version=version)
