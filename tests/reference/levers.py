"""What the checks of levers share."""

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import form
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.tempo import Tempo

SHAPES = tuple(form("planche").preset)


def lever_share(body: Body, shape: str) -> float:
    return reading(body, set_up("planche", shape=shape)).share.likely


def straddle_after(body: Body, seconds: float) -> float:
    """Seconds of straddle for whoever holds the advanced tuck so long."""
    known = Known(body, Done(set_up("planche", shape="advanced_tuck"), amount=seconds))
    return known.expected(reading(body, set_up("planche", shape="straddle")), Tempo()).likely
