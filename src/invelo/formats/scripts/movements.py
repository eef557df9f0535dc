"""Movements as scripts name them: three with set-ups of their own, and every form by its values."""

from typing import Annotated, Any, Literal

from pydantic import BaseModel, Discriminator, Field, Tag

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.reading import Reading
from invelo.domain.biomechanics.setup import SetUp, set_up
from invelo.domain.estimate import Estimate
from invelo.domain.strength.tempo import Tempo
from invelo.domain.strict import StrictModel
from invelo.formats.setups import BodyRequest, Changes

Shape = Literal["tuck", "advanced_tuck", "one_leg", "half_lay", "straddle", "full"]


class PushUpSetUp(StrictModel):
    """Heights of hands and feet above the floor, m; what the body turns about; where in the rep."""

    hands_height_m: float = Field(0.0, examples=[0.3048])
    feet_height_m: float = 0.0
    hands_offset_m: float = Field(0.0, description="Along the body, + towards the feet.")
    vest_kg: float = 0.0
    bag_kg: float = 0.0
    support: Literal["toes", "knees"] = "toes"
    phase: Literal["top", "bottom"] = "top"


class RowSetUp(StrictModel):
    """A row: heels on the ground, the body leaning back in one line."""

    body_angle_deg: float = Field(description="Of the trunk from upright; 90 is level.")
    knee_bend_deg: float = 0.0
    feet_height_m: float = 0.0
    vest_kg: float = 0.0


class LeverSetUp(StrictModel):
    """A canonical shape of a straight-arm lever."""

    shape: Shape = Field(examples=["advanced_tuck"])


class FormSetUp(Changes):
    """Any form: a named shape of it, and values on top."""

    shape: str | None = None


class PushUp(StrictModel):
    """A push-up and its set-up."""

    movement: Literal["push_up"]
    setup: PushUpSetUp = Field(default_factory=PushUpSetUp)

    def core(self) -> SetUp:
        """As the domain computes with it."""
        push_up_set_up = self.setup
        return set_up(
            "push_up" if push_up_set_up.support == "toes" else "knee_push_up",
            added_load=AddedLoad(vest=push_up_set_up.vest_kg, bag=push_up_set_up.bag_kg),
            hand_height=push_up_set_up.hands_height_m,
            foot_height=push_up_set_up.feet_height_m,
            hand_offset=push_up_set_up.hands_offset_m,
        )


class Row(StrictModel):
    """A row and its set-up."""

    movement: Literal["row"]
    setup: RowSetUp

    def core(self) -> SetUp:
        """As the domain computes with it."""
        row_set_up = self.setup
        return set_up(
            "row",
            added_load=AddedLoad(vest=row_set_up.vest_kg),
            body_angle=row_set_up.body_angle_deg,
            knee=row_set_up.knee_bend_deg,
            foot_height=row_set_up.feet_height_m,
        )


class Lever(StrictModel):
    """A planche or a front lever in one of its shapes, body level."""

    movement: Literal["planche", "front_lever"]
    setup: LeverSetUp

    def core(self) -> SetUp:
        """As the domain computes with it."""
        return set_up(self.movement, shape=self.setup.shape)


class AnyForm(StrictModel):
    """Any other form, by its id and its parameters."""

    movement: str = Field(examples=["pull_up"])
    setup: FormSetUp = Field(default_factory=FormSetUp)

    def core(self) -> SetUp:
        """As the domain computes with it."""
        return self.setup.modifiers().of_form(self.movement, self.setup.shape)


def kind(item: Any) -> str:
    """Which of the shapes an item has, by its movement and, where it has both, its set-up."""
    movement = item.get("movement") if isinstance(item, dict) else getattr(item, "movement", "")
    setup = item.get("setup") if isinstance(item, dict) else None
    by_values = isinstance(setup, dict) and bool(set(setup) & set(Changes.model_fields))
    if movement in ("push_up", "row") and not by_values:
        return str(movement)
    if movement in ("planche", "front_lever") and not by_values:
        return "lever"
    return "form"


KINDS = ("push_up", "row", "lever", "form")


class _Someone(StrictModel):
    body: BodyRequest

    def whose(self) -> BodyRequest:
        """The body."""
        return self.body


class PushUpLeverage(_Someone, PushUp):
    """A push-up by someone."""


class RowLeverage(_Someone, Row):
    """A row by someone."""


class LeverLeverage(_Someone, Lever):
    """A straight-arm lever by someone."""


class FormLeverage(_Someone, AnyForm):
    """Any form by someone."""


AnyMovement = PushUpLeverage | RowLeverage | LeverLeverage | FormLeverage
Leverage = Annotated[
    Annotated[PushUpLeverage, Tag("push_up")]
    | Annotated[RowLeverage, Tag("row")]
    | Annotated[LeverLeverage, Tag("lever")]
    | Annotated[FormLeverage, Tag("form")],
    Discriminator(kind),
]


def place_of(request: AnyMovement, read: Reading) -> int:
    """The place along the rep that was asked for: a push-up's phase, else where it is judged."""
    if isinstance(request, PushUpLeverage):
        return 0 if request.setup.phase == "top" else len(read.depths) - 1
    return read.at


TempoSeconds = Annotated[
    list[float] | None,
    Field(min_length=4, max_length=4, description="Lower, hold, press, hold; s."),
]


def tempo_of(seconds: list[float] | None) -> Tempo:
    """Lower, hold, press, hold in seconds; an even rep of 2 s if left out."""
    return Tempo(*seconds) if seconds else Tempo()


class Range(BaseModel):
    """A figure with its 80 % interval, and the envelope of differing methods where more speak."""

    low: float
    likely: float
    high: float
    spread: tuple[float, float] | None = None

    @classmethod
    def of(cls, estimate: Estimate) -> "Range":
        """An estimate as scripts are told it."""
        low, high = estimate.spread_low, estimate.spread_high
        spread = None if low is None or high is None else (low, high)
        return cls(low=estimate.low, likely=estimate.likely, high=estimate.high, spread=spread)


def said(answer: BaseModel) -> dict[str, Any]:
    """An answer as JSON, fields that mean nothing left out."""
    return answer.model_dump(mode="json", exclude_none=True)
