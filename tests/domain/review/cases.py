"""Cases as the review is asked about them: a ladder, what is prescribed, what was done."""

from datetime import date, timedelta
from typing import Any

from invelo.domain.catalogue.catalogue import catalogue
from invelo.formats.scripts.review import review
from invelo.formats.scripts.review_shapes import ReviewAnswer, ReviewRequest

TODAY = date(2026, 6, 29)
"""A Monday."""

BODY = {"mass_kg": 75.0, "stature_m": 1.75}


def dose(
    low: int = 6, high: int = 10, sets: int = 3, unit: str = "reps", rpe: float = 9.0
) -> dict[str, Any]:
    """A rung's own prescription."""
    return {"sets": sets, "low": low, "high": high, "unit": unit, "rest_s": 120, "rpe": rpe}


def rung(
    name: str,
    movement: str,
    prescription: dict[str, Any] | None = None,
    **changes: Any,
) -> dict[str, Any]:
    """A rung of a ladder file, its criterion the range's top in every set twice running."""
    asked = prescription or dose()
    criterion = {"sets": asked["sets"], "amount": asked["high"], "rpe": 9.0, "sessions": 2}
    return {
        "name": name,
        "movement": movement,
        "prescription": asked,
        "criterion": criterion,
        **changes,
    }


def ladder(*rungs: dict[str, Any], goal: str = "Push-up") -> dict[str, Any]:
    """A ladder file."""
    tagged = [{"id": f"r{number}", **one} for number, one in enumerate(rungs)]
    return {"format": "invelo-ladder", "version": 2, "goal": goal, "rungs": tagged}


def on(height: float, name: str = "", prescription: dict[str, Any] | None = None) -> dict[str, Any]:
    """A push-up with the hands so many centimetres up."""
    values = {"hand_height": height / 100} if height else {}
    return rung(name or f"Hands {height:g} cm", "push-up", prescription, values=values)


PUSH = ladder(on(60), on(40), on(20), on(0, "Floor"), on(0, "Floor, feet up"))
PUSH["rungs"][4]["values"] = {"foot_height": 0.3}

PUSH_8_12 = ladder(*(on(height, prescription=dose(8, 12)) for height in (60, 40, 20, 0)))


def shape(name: str) -> dict[str, float]:
    """The values of a shape of the front lever, by its rung's name."""
    ready = next(one for one in catalogue().find_ladder("front-lever").rungs if one.name == name)
    return dict(ready.modifiers().values)


SHAPES = ("Tuck", "Advanced tuck", "One leg stretched", "Straddle", "Front lever")
LEVER = ladder(
    *(rung(name, "front-lever", dose(5, 8, 3, "s", 8), values=shape(name)) for name in SHAPES),
    goal="Front lever",
)


def band(name: str, force: float) -> dict[str, Any]:
    """A band that pulls so many newtons at twice its length of half a metre."""
    stretches = ((1.25, 0.45), (1.5, 0.7), (1.75, 0.87), (2.0, 1.0), (2.25, 1.15))
    pulls = [{"length_m": 0.5 * times, "force_n": force * share} for times, share in stretches]
    return {"name": name, "rest_m": 0.5, "pulls": pulls}


BAR = {"kind": "bar", "name": "bar", "height_m": 2.3}


def done(
    back: int,
    *sets: tuple[float, float] | tuple[float, None],
    asked: tuple[int, int, float] | None = None,
    derived: str = "",
    rung: str = "",
    **more: Any,
) -> dict[str, Any]:
    """A session so many days ago: amount and effort of each set."""
    told = []
    for amount, rpe in sets:
        one: dict[str, Any] = {"amount": amount, "rpe": rpe, "rung": rung, **more}
        if asked is not None:
            one |= {"asked_low": asked[0], "asked_high": asked[1], "asked_rpe": asked[2]}
        told.append(one)
    day = TODAY - timedelta(days=back)
    return {"day": day.isoformat(), "derived": derived, "sets": told}


def tested(movement: str, amount: float, back: int, **changes: Any) -> dict[str, Any]:
    """A test to the end so many days ago."""
    day = TODAY - timedelta(days=back)
    return {"movement": movement, "amount": amount, "day": day.isoformat(), **changes}


def at(rung: str, back: int | None = None, **settings: Any) -> dict[str, Any]:
    """What is prescribed, since so many days ago."""
    since = {} if back is None else {"since": (TODAY - timedelta(days=back)).isoformat()}
    return {"rung": rung, **since, **settings}


def said(outcome: str, rung: str, back: int, *rules: str, answer: str = "accept") -> dict[str, Any]:
    """What became of an earlier proposal."""
    day = TODAY - timedelta(days=back)
    return {
        "outcome": outcome,
        "rung": rung,
        "day": day.isoformat(),
        "rules": list(rules),
        "answer": answer,
    }


def ask(given: dict[str, Any], **case: Any) -> ReviewAnswer:
    """What the review says of a case."""
    request = {"body": BODY, "today": TODAY.isoformat(), "ladder": given, **case}
    return review(ReviewRequest.model_validate(request))
