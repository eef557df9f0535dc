"""`./invelo leverage`: what a set-up asks of a body, for scripts."""

from pydantic import BaseModel, Field, TypeAdapter

from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.formats.scripts.movements import AnyMovement, Leverage, Range, place_of


class LeverageAnswer(BaseModel):
    """What the set-up asks. Torques are of both sides together."""

    movement: str
    limiting_measure: str
    hand_load_kg: float | None = Field(None, description="Force on the hands ÷ g.")
    hand_load_share: float | None = Field(None, description="Of body weight.")
    ranges: dict[str, Range] = Field(
        description="80 % interval of the limiting figure, under the name of its field or measure."
    )
    along: list[float] | None = Field(
        None, description="The limiting measure along the rep, from its start to its other end."
    )
    work_j: float | None = Field(None, description="Mechanical work of one lift.")
    contact_kg: dict[str, float] = Field(description="Upward force of every contact ÷ g.")
    joint_torque_nm: dict[str, float]
    torque_bw_stature: dict[str, float] = Field(
        description="Torque ÷ (body weight × stature): the scale on which bodies compare."
    )
    overhang_m: float = Field(
        description="How far the centre of mass lies beyond the support; + towards the head's side."
    )
    model_version: str


requests: TypeAdapter[AnyMovement] = TypeAdapter(Leverage)


def leverage(request: AnyMovement, version: str) -> LeverageAnswer:
    """Answer one request.

    Raises:
        InputError: for a body or a set-up out of range.
    """
    body, setup = request.whose().core(), request.core()
    read = reading(body, setup)
    place = place_of(request, read)
    limit = read.along[place].demand
    torques = {
        name: abs(float(torque[place, 0]))
        for name, torque in read.torque.items()
        if name != "wrist"
    }
    hands = _hands(read, place)
    unit = body.mass * GRAVITY * body.stature
    return LeverageAnswer(
        movement=request.movement,
        limiting_measure=read.measure,
        hand_load_kg=hands,
        hand_load_share=None if hands is None else hands / body.mass,
        ranges={_named(read): Range.of(limit)},
        along=[along.demand.likely for along in read.along] if len(read.depths) > 1 else None,
        work_j=read.work.likely if len(read.depths) > 1 else None,
        contact_kg={
            name: float(force[place, 0, 1]) / GRAVITY for name, force in read.contact.items()
        },
        joint_torque_nm=torques,
        torque_bw_stature={name: torque / unit for name, torque in torques.items()},
        overhang_m=read.overhang.likely,
        model_version=version,
    )


NAMES = {
    "hands": "hand_load_kg",
    "pull": "hand_load_kg",
    "arms": "arm_load_kg",
    "legs": "leg_effort_percent",
    "feet": "leg_load_kg",
    "carried": "added_load_kg",
}


def _named(read: Reading) -> str:
    form = read.setup.form
    return NAMES.get(form.measure, f"joint_torque_nm.{form.joint}")


def _hands(read: Reading, place: int) -> float | None:
    """Force on the hands, kg: along the arms where they pull, upward where they push or hang."""
    if read.setup.form.measure == "pull":
        return float(read.measured[place, 0])
    if "hands" not in read.contact:
        return None
    return float(read.contact["hands"][place, 0, 1]) / GRAVITY
