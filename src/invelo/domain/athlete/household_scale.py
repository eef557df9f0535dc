"""A household scale tells this body: how much of its weight its hands carry, against what the model
says.

The scale lies under both feet (or both knees) while the hands are on the floor or on something that
does not move; what it does not read, the hands carry. Three positions held still tell one number, a
common factor on the load of the hands, and how sure it is; never the segments. Toes to hands is
measured too, because 2 cm of it are half a kilo.
"""

from dataclasses import dataclass
from math import exp, hypot, log, sqrt
from typing import Literal

from invelo.domain.biomechanics.body import HANDS_PER_FORM, HANDS_SHARED, Body
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import SetUp, set_up
from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Z80, Derivation, Estimate, Input

Position = Literal["floor, arms straight", "floor, low", "on the knees"]

HOW: dict[Position, str] = {
    "floor, arms straight": "Balls of both feet on the scale, hands on the floor under the "
    "shoulders, arms straight, body in one line.",
    "floor, low": "The same, held still a hand's width over the floor.",
    "on the knees": "Both knees on the scale, hands on the floor under the shoulders, arms "
    "straight, hips in line.",
}
"""What to do, by position."""

_SET_UPS: dict[Position, tuple[str, int]] = {
    "floor, arms straight": ("push_up", 0),
    "floor, low": ("push_up", -1),
    "on the knees": ("knee_push_up", 0),
}

SCALE_HEIGHT = 0.03
"""Of a household scale, m: what the feet are raised by (common practice)."""

READS_WITHIN = 1.0
READS_WITHIN_SHARE = 0.02
"""80 % half-width of a reading of someone who breathes, kg, and as a share of what is read; the
greater counts (common practice)."""

TYPED_WITHIN = 0.05
"""How far the standing weight may lie from the known one before a slip of typing or an old weight
is more likely than a meal, as a share of it (ours)."""

PLAUSIBLE = (0.15, 0.95)
"""Share of body weight that hands carry in any of these (ours: common practice has 0.4 to 0.8)."""

ODD_BEYOND = 2.6
"""Standard deviations beyond which a reading is told as odd beside the others."""

MOST_OFF = 0.15
"""Common factor's logarithm beyond which the positions are doubted rather than the model (ours)."""


@dataclass(frozen=True)
class HeldPosition:
    """One position held still.

    Attributes:
        position: which.
        read_kg: what the scale showed.
        distance: from the scale's contact (ball of the foot, or knee) to the wrist, m; None where
            it was not measured.
    """

    position: Position
    read_kg: float
    distance: float | None = None


@dataclass(frozen=True)
class PositionSeen:
    """What one position said.

    Attributes:
        reading: it.
        hands: on the hands by the scale, kg.
        expected: by the model, kg, without any correction.
        odd: why it is doubted, '' where it fits the others.
    """

    reading: HeldPosition
    hands: float
    expected: Estimate
    odd: str


@dataclass(frozen=True)
class ScaleCheck:
    """What three positions say together.

    Attributes:
        seen: each.
        factor: on the load of the hands, with its 80 % range.
        correction: its logarithm and that one's standard deviation.
        words: what differs and why it might.
    """

    seen: tuple[PositionSeen, ...]
    factor: Estimate
    correction: tuple[float, float]
    words: str


def check(body: Body, standing_kg: float, readings: tuple[HeldPosition, ...]) -> ScaleCheck:
    """What a household scale says of a body.

    Args:
        body: as it is known, without a correction.
        standing_kg: both feet on the same scale.
        readings: one to three positions, each once.

    Raises:
        InputError: for a standing weight that is not this body's, a position twice, or a reading
            that cannot be the position.

    Source: Bayes' rule for a shared log factor (± 4 %, ours) and one per position (± 3 %, ours).
    """
    _check_standing(body, standing_kg)
    if not readings or len({each.position for each in readings}) != len(readings):
        raise InputError("readings", "one to three positions, each once.", "Take each once.")
    parts = [_part(body, standing_kg, each) for each in readings]
    precision = 1 / HANDS_SHARED**2 + sum(1 / spread**2 for _, _, _, spread in parts)
    mean = sum(off / spread**2 for _, _, off, spread in parts) / precision
    deviation = sqrt(1 / precision)
    seen = tuple(
        PositionSeen(
            each,
            hands,
            expected.at_start if _SET_UPS[each.position][1] == 0 else expected.at_end,
            _odd(off, mean, spread),
        )
        for each, (hands, expected, off, spread) in zip(readings, parts, strict=True)
    )
    factor = Estimate(
        exp(mean),
        exp(mean - Z80 * deviation),
        exp(mean + Z80 * deviation),
        "×",
        Derivation(
            "Of each position the logarithm of what the hands carry ÷ what the model says, weighed "
            "by how sure it is, drawn towards 0 as far as people lie about the model (± 4 %).",
            (
                Input("standing", standing_kg, "kg"),
                *(
                    value
                    for position in seen
                    for value in (
                        Input(
                            f"{position.reading.position}: scale", position.reading.read_kg, "kg"
                        ),
                        Input(f"{position.reading.position}: hands", position.hands, "kg"),
                        Input(
                            f"{position.reading.position}: model", position.expected.likely, "kg"
                        ),
                    )
                ),
            ),
            ("ours",),
        ),
    )
    return ScaleCheck(seen, factor, (mean, deviation), _words(mean, deviation, seen))


def expected_hands(body: Body, position: HeldPosition) -> float:
    """What the model says the hands carry in a position, kg."""
    load, place = reading(body, _set_up(body, position)), _SET_UPS[position.position][1]
    return float(load.measured[place, 0])


def _check_standing(body: Body, standing_kg: float) -> None:
    require_within("standing weight", standing_kg, 20.0, 300.0, "kg")
    if abs(standing_kg / body.mass - 1.0) > TYPED_WITHIN:
        raise InputError(
            "standing weight",
            f"{standing_kg:g} kg is far from the {body.mass:g} kg that is known.",
            "Type it again; if it is right, enter it as the body mass first.",
        )


def _part(
    body: Body, standing_kg: float, position: HeldPosition
) -> tuple[float, Reading, float, float]:
    """Load of the hands, the model's reading, the logarithm of their ratio, and its deviation."""
    require_within(f"{position.position}: reading", position.read_kg, 0.0, 300.0, "kg")
    hands = standing_kg - position.read_kg
    low, high = (share * standing_kg for share in PLAUSIBLE)
    if not low <= hands <= high:
        raise InputError(
            f"{position.position}: reading",
            f"{position.read_kg:g} kg under the feet would leave {hands:.0f} kg on the hands, "
            "which this position cannot be.",
            "Both feet on the scale, nothing else touching the floor but the hands; read it again.",
        )
    load, expected = reading(body, _set_up(body, position)), expected_hands(body, position)
    off = max(READS_WITHIN, READS_WITHIN_SHARE * position.read_kg) * sqrt(2) / Z80
    return hands, load, log(hands / expected), hypot(HANDS_PER_FORM, off / hands)


def _set_up(body: Body, position: HeldPosition) -> SetUp:
    """The position, with the hands as far from the feet as they were."""
    form, _ = _SET_UPS[position.position]
    plain = set_up(form, foot_height=SCALE_HEIGHT)
    if position.distance is None:
        return plain
    contacts = reading(body, plain).posture.contacts
    own = abs(float(contacts[0].point[0, 0, 0] - contacts[1].point[0, 0, 0]))
    offset = round(own - position.distance, 3)
    try:
        return set_up(form, foot_height=SCALE_HEIGHT, hand_offset=offset)
    except InputError:
        raise InputError(
            f"{position.position}: distance",
            f"{100 * position.distance:.0f} cm is none of this body's; "
            f"about {100 * own:.0f} cm is.",
            "Measure from the ball of the foot, or the knee, to the wrist.",
        ) from None


def _odd(off: float, mean: float, spread: float) -> str:
    if abs(off - mean) <= ODD_BEYOND * spread:
        return ""
    return "It lies apart from the others: take it again, holding still."


def _words(mean: float, deviation: float, seen: tuple[PositionSeen, ...]) -> str:
    percent, more = 100 * (exp(mean) - 1), "more" if mean > 0 else "less"
    if any(position.odd for position in seen):
        return "One position does not fit the others; take it again before it is believed."
    if abs(mean) > MOST_OFF:
        return (
            f"The hands carry {abs(percent):.0f} % {more} than the model says, which is more "
            "than bodies differ: look at the position, the carpet under the scale, and whether "
            "both feet were on it."
        )
    if abs(mean) < Z80 * deviation:
        return "This body is as the model says; the range of its loads narrows."
    why = "a heavier upper body or shorter legs" if mean > 0 else "heavier or longer legs"
    return (
        f"The hands carry {abs(percent):.0f} % {more} than the model says: {why} would do that, "
        "and so would hips that are not in line."
    )
