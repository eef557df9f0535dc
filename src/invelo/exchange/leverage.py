"""`./invelo leverage`: what a set-up asks of a body, for scripts."""

from typing import Annotated

from pydantic import BaseModel, Field, TypeAdapter

from invelo.core.body import GRAVITY, Body
from invelo.core.lever import lever_torque
from invelo.core.posture.push_up import push_up
from invelo.core.posture.row import row
from invelo.core.posture.skeleton import Posture
from invelo.core.row import row_load
from invelo.core.rung import push_up_load
from invelo.core.statics import contact_forces, joint_torques
from invelo.exchange.setups import BodyRequest, Lever, PushUp, Range, Row


class PushUpLeverage(PushUp):
    """A push-up by someone."""

    body: BodyRequest


class RowLeverage(Row):
    """A row by someone."""

    body: BodyRequest


class LeverLeverage(Lever):
    """A straight-arm lever by someone."""

    body: BodyRequest


AnyLeverage = PushUpLeverage | RowLeverage | LeverLeverage
LeverageRequest = Annotated[AnyLeverage, Field(discriminator="movement")]
requests: TypeAdapter[AnyLeverage] = TypeAdapter(LeverageRequest)


class LeverageAnswer(BaseModel):
    """What the set-up asks. Torques are of both sides together."""

    movement: str
    limiting_measure: str
    hand_load_kg: float | None = Field(None, description="Force on the hands ÷ g.")
    hand_load_share: float | None = Field(None, description="Of body weight.")
    joint_torque_nm: dict[str, float]
    torque_bw_stature: dict[str, float] = Field(
        description="Torque ÷ (body weight × stature): the scale on which bodies compare."
    )
    ranges: dict[str, Range] = Field(description="80 % intervals of the limiting figures.")
    model_version: str


def leverage(request: AnyLeverage, version: str) -> LeverageAnswer:
    """Answer one request.

    Raises:
        InputError: for a body or a set-up out of range.
    """
    body = request.body.core()
    if isinstance(request, PushUpLeverage):
        return _push_up(request, body, version)
    if isinstance(request, RowLeverage):
        return _row(request, body, version)
    return _lever(request, body, version)


def _push_up(request: PushUpLeverage, body: Body, version: str) -> LeverageAnswer:
    setup, phase = request.setup.core(), request.setup.phase
    load = push_up_load(body, setup)
    told = load.top if phase == "top" else load.bottom
    torques = _torques(push_up(body, setup, phase))
    return LeverageAnswer(
        movement=request.movement,
        limiting_measure="hand load",
        hand_load_kg=told.likely,
        hand_load_share=told.likely / body.mass,
        joint_torque_nm=torques,
        torque_bw_stature=_by_body(torques, body),
        ranges={"hand_load_kg": Range(low=told.low, likely=told.likely, high=told.high)},
        model_version=version,
    )


def _row(request: RowLeverage, body: Body, version: str) -> LeverageAnswer:
    setup = request.setup.core()
    told = row_load(body, setup).pull
    torques = _torques(row(body, setup))
    return LeverageAnswer(
        movement=request.movement,
        limiting_measure="pull of the hands",
        hand_load_kg=told.likely,
        hand_load_share=told.likely / body.mass,
        joint_torque_nm=torques,
        torque_bw_stature=_by_body(torques, body),
        ranges={"hand_load_kg": Range(low=told.low, likely=told.likely, high=told.high)},
        model_version=version,
    )


def _torques(posture: Posture) -> dict[str, float]:
    torques = joint_torques(posture, contact_forces(posture))
    return {name: abs(float(value)) for name, value in torques.items()}


def _lever(request: LeverLeverage, body: Body, version: str) -> LeverageAnswer:
    told = lever_torque(body, request.setup.core()).torque
    torques = {"shoulder": told.likely}
    return LeverageAnswer(
        movement=request.movement,
        limiting_measure="shoulder torque",
        hand_load_kg=body.mass,  # the hands carry the whole body
        hand_load_share=1.0,
        joint_torque_nm=torques,
        torque_bw_stature=_by_body(torques, body),
        ranges={
            "joint_torque_nm.shoulder": Range(low=told.low, likely=told.likely, high=told.high)
        },
        model_version=version,
    )


def _by_body(torques: dict[str, float], body: Body) -> dict[str, float]:
    unit = body.mass * GRAVITY * body.stature
    return {name: value / unit for name, value in torques.items()}
