"""Cautions said before every session, in plain words (common practice)."""

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
