"""Cautions in plain words: before every session, and of each movement as it is set up (common
practice)."""

from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.catalogue.movement import BAND_CAUTION, Modifiers, Movement

BEFORE_A_SESSION = (
    "Stop at once on chest pain, dizziness or faintness, and see a doctor.",
    "Sharp or growing joint pain ends the movement for the day.",
    "Keep breathing; a held breath raises blood pressure.",
    "Check that what you lean on stands firm and does not slide.",
)

STANDING = (
    "Invelo is a planning aid, not medical advice. Local rules and licensed practitioners come "
    "first."
)

HEAD_DOWN_FROM = 30.0
"""Degrees that the trunk points down from which the head is said to be below the heart."""

HEAD_DOWN = (
    "Head below the heart: not with glaucoma, recent eye surgery, blood pressure that is not under "
    "control, or late in pregnancy."
)


def cautions_of(movement: Movement, modifiers: Modifiers) -> tuple[str, ...]:
    """What can hurt in a movement as it is set up, each once."""
    warnings = [*movement.warnings]
    if strains(AVERAGE, movement, movement.own(modifiers)).get("head down", 0.0) >= HEAD_DOWN_FROM:
        warnings.append(HEAD_DOWN)
    if modifiers.band:
        warnings.append(BAND_CAUTION)
    return tuple(dict.fromkeys(warnings))
