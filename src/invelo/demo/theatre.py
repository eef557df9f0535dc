"""The people, the kit and the ladder of the demo. All names and figures are invented."""

from dataclasses import dataclass

from invelo.domain.athlete.person import Aim, Sex
from invelo.domain.athlete.readiness import CheckId
from invelo.domain.athlete.screen import PainPlace
from invelo.domain.catalogue.catalogue import ReadyLadder, ReadyRung
from invelo.domain.equipment.kit import Floor, KitItem
from invelo.domain.plan.prescription import Level, Method, Purpose

COACH_EMAIL = "coach@theatre.example"
COACH_NAME = "Ilse Marn"
COACH_PASSWORD = "three sandbags and a riser"  # noqa: S105  (shown at every demo start)
ZONE = "Europe/Lisbon"

TOUR_LADDER = ReadyLadder(
    id="tour-push-up",
    goal="Push-up with feet raised and a sandbag",
    family="horizontal push",
    rungs=(
        ReadyRung(name="Tailgate push-up", movement="push-up", values={"hand_height": 0.90}),
        ReadyRung(name="Two-crate push-up", movement="push-up", values={"hand_height": 0.75}),
        ReadyRung(name="Push-up on riser 60", movement="push-up", values={"hand_height": 0.60}),
        ReadyRung(name="Push-up on riser 40", movement="push-up", values={"hand_height": 0.40}),
        ReadyRung(name="Knee push-up", movement="knee-push-up"),
        ReadyRung(name="Push-up on riser 20", movement="push-up", values={"hand_height": 0.20}),
        ReadyRung(name="Floor push-up", movement="push-up"),
        ReadyRung(name="Feet on riser 20", movement="push-up", values={"foot_height": 0.20}),
        ReadyRung(name="Feet on riser 40", movement="push-up", values={"foot_height": 0.40}),
        ReadyRung(name="Slow floor push-up", movement="push-up", tempo="3-0-1-0"),
        ReadyRung(
            name="Feet on riser 40, sandbag 5",
            movement="push-up",
            values={"foot_height": 0.40},
            bag=5.0,
        ),
        ReadyRung(
            name="Feet on riser 40, sandbag 10",
            movement="push-up",
            values={"foot_height": 0.40},
            bag=10.0,
        ),
    ),
)

BAND_LENGTH = 1.0
BANDS: dict[str, tuple[tuple[float, float], ...]] = {
    "narrow": ((1.2, 2.6), (1.4, 4.3), (1.6, 5.5), (1.8, 6.6), (2.0, 7.6), (2.3, 8.8)),
    "middle": ((1.2, 5.4), (1.4, 8.6), (1.6, 11.3), (1.8, 13.2), (2.0, 15.0), (2.3, 17.5)),
    "broad": ((1.2, 10.0), (1.4, 16.6), (1.6, 21.6), (1.8, 26.3), (2.0, 29.3), (2.3, 32.8)),
}
"""The three bands of the stage box: length (m) and pull (kg) as read off a hanging scale."""


Days = tuple[int, ...]
MON_WED_FRI: Days = (0, 2, 4)


@dataclass(frozen=True)
class CrewMember:
    """An invented athlete.

    Attributes:
        ladder: the tour's own, or a ready one.
        test: on which rung of it they were tested, and how many reps or seconds they did.
        method: by which they progress.
        gain, tires: factors on what training adds and takes away.
        skips: share of days they miss.
        days: of the week on which they train, Monday 0.
        away: how many days before the end a break began, and how long it was.
        pains: place and pain by days before the end, 0–10; the nearest session after takes it.
        rests: days since the last session.
    """

    name: str
    note: str
    mass: float
    stature: float
    purpose: Purpose
    level: Level
    test: tuple[str, float]
    ladder: str = TOUR_LADDER.id
    method: Method = "double_progression"
    gain: float = 1.0
    tires: float = 1.0
    skips: float = 0.08
    days: Days = MON_WED_FRI
    away: tuple[int, int] = (0, 0)
    pains: tuple[tuple[int, int, str], ...] = ()
    rests: int = 1

    def pain_on(self, before_end: int) -> tuple[int, str]:
        """Pain and place of a session so many days before the end."""
        for day, pain, place in self.pains:
            if day - 2 < before_end <= day:
                return pain, place
        return 0, ""


CREW = (
    CrewMember(
        "Tilde Varga",
        "Puppeteer. New to strength work; arms tire before the show does.",
        mass=58.0,
        stature=1.66,
        purpose="strength",
        level="beginner",
        test=("Push-up on riser 60", 9),
        gain=1.2,
    ),
    CrewMember(
        "Juno Pell",
        "Lights and rigging. Steady; wants push-ups with a sandbag by the autumn run.",
        mass=71.0,
        stature=1.75,
        purpose="size",
        level="intermediate",
        test=("Push-up on riser 20", 12),
        away=(80, 17),
        rests=2,
    ),
    CrewMember(
        "Bram Oster",
        "Drives the second truck, carries the flats. Strong, heavy, a wrist that complains.",
        mass=96.0,
        stature=1.88,
        purpose="strength",
        level="advanced",
        test=("Floor push-up", 12),
        gain=0.6,
        pains=((60, 2, "left wrist"), (58, 4, "left wrist"), (0, 3, "left wrist")),
        rests=3,
    ),
    CrewMember(
        "Enzo Farrow",
        "Stage manager. A front lever that has not moved for weeks.",
        mass=68.0,
        stature=1.72,
        purpose="skill",
        level="intermediate",
        ladder="front-lever",
        test=("Tuck", 24),
        gain=0.12,
        tires=0.3,
        skips=0.03,
    ),
    CrewMember(
        "Mirela Sund",
        "Paints the flats. Wants her first pull-up before the last town.",
        mass=61.0,
        stature=1.68,
        purpose="strength",
        level="beginner",
        ladder="pull-up",
        test=("Pull-up, 50 % assistance", 8),
        gain=1.3,
        rests=2,
    ),
    CrewMember(
        "Odile Rask",
        "Wardrobe. No time and no wish for more than a moment a day.",
        mass=66.0,
        stature=1.63,
        purpose="daily",
        level="beginner",
        ladder="full-push-up",
        method="habit",
        test=("Counter push-up", 14),
        gain=0.5,
        days=(0, 2, 4, 6),
        skips=0.25,
    ),
    CrewMember(
        "Pavo Linde",
        "Acrobat inside the big puppet. Guided by effort, one leg at a time.",
        mass=63.0,
        stature=1.70,
        purpose="strength",
        level="intermediate",
        ladder="one-leg-squat",
        method="rpe_target",
        test=("Deep squat", 18),
        gain=0.9,
        away=(46, 19),
    ),
    CrewMember(
        "Hanne Corv",
        "Plays the barrel organ. Rows between towns, by the clock.",
        mass=74.0,
        stature=1.79,
        purpose="endurance",
        level="intermediate",
        ladder="row",
        method="density",
        test=("Incline row, a third", 16),
        gain=0.8,
        days=(1, 3),
        rests=9,
    ),
)

PLACES: tuple[tuple[str, Floor, tuple[KitItem, ...]], ...] = (
    (
        "Stage",
        "smooth",
        (
            KitItem("surface", "riser 20", height=0.20),
            KitItem("surface", "riser 40", height=0.40, setup_minutes=1),
            KitItem("surface", "riser 60", height=0.60, setup_minutes=1),
            KitItem("surface", "props table", height=0.85),
            KitItem("towel", "beach towel"),
            KitItem("wall", "back wall"),
            KitItem("bar", "lighting bar", height=1.05, setup_minutes=4),
            KitItem("rings", "wooden rings", height=2.10, setup_minutes=5),
            KitItem("load", "sandbag 2.5", kg=2.5, count=4),
            KitItem("load", "sandbag 5", kg=5.0, count=3),
            KitItem("load", "sandbag 10", kg=10.0, count=2),
            KitItem("band", "middle"),
        ),
    ),
    (
        "Second truck",
        "gripping",
        (
            KitItem("surface", "tailgate", height=0.90),
            KitItem("surface", "crate", height=0.45, count=3),
            KitItem("parallel bars", "scaffold ladder on crates", height=0.95, home_made=True),
            KitItem("band", "narrow"),
            KitItem("bag", "prop bag", kg=15.0),
        ),
    ),
)


@dataclass(frozen=True)
class Intake:
    """What a member told and showed at intake.

    Attributes:
        tests: id of the test, reps or seconds, side.
        closed: readiness checks not passed.
        ladders: ready ladders given besides the tour's own.
    """

    age: int
    sex: Sex
    goals: tuple[str, ...]
    training_years: float
    days: int
    minutes: int
    places: tuple[str, ...]
    aim: Aim = "gain"
    pains: tuple[tuple[PainPlace, int], ...] = ()
    closed: tuple[CheckId, ...] = ()
    tests: tuple[tuple[str, float, str], ...] = ()
    ladders: tuple[str, ...] = ()


MEMBERS: dict[str, Intake] = {
    "Tilde Varga": Intake(
        27, "female", ("push-up", "strong-trunk"), 0.2, 3, 25, ("Stage",), closed=("flat back",)
    ),
    "Juno Pell": Intake(
        34,
        "female",
        ("l-sit", "row", "one-leg-squat", "push-up"),
        2.0,
        3,
        40,
        ("Stage", "Second truck"),
        closed=("ankle",),
        tests=(
            ("row-half", 9, ""),
            ("l-sit-tuck", 17, ""),
            ("split-squat", 11, "left"),
            ("split-squat", 15, "right"),
            ("side-plank", 52, "left"),
            ("side-plank", 49, "right"),
        ),
        ladders=("row", "l-sit"),
    ),
    "Bram Oster": Intake(
        41, "male", ("strong-push", "dip"), 9.0, 2, 30, ("Second truck",), pains=(("wrist", 3),)
    ),
    "Enzo Farrow": Intake(
        31, "male", ("front-lever",), 5.0, 3, 40, ("Stage",), tests=(("row-half", 16, ""),)
    ),
    "Mirela Sund": Intake(26, "female", ("pull-up",), 0.4, 3, 30, ("Stage",)),
    "Odile Rask": Intake(
        52, "female", ("push-up", "strong-trunk"), 0.0, 7, 10, ("Stage",), aim="keep"
    ),
    "Pavo Linde": Intake(24, "male", ("one-leg-squat",), 3.0, 3, 35, ("Stage",)),
    "Hanne Corv": Intake(38, "female", ("row",), 2.0, 2, 30, ("Stage", "Second truck")),
}
