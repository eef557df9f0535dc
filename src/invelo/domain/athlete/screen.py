"""Screen: what can hurt a person comes first, and what is closed to them until someone says more.

The order of questions follows the published logic of screening before exercise: Riebe, Franklin,
Thompson and others 2015, Updating ACSM's recommendations for exercise preparticipation health
screening, Med Sci Sports Exerc 47(11):2473–2479 (from memory): are they active, is a disease of
heart, metabolism or kidneys known, are there signs of one. The wording and the limits are ours.
A screen refers and limits; it diagnoses nothing.
"""

from collections.abc import Iterable
from dataclasses import dataclass, field
from datetime import date
from typing import Literal

from invelo.domain.athlete.age import CHILD, ONE_HAND
from invelo.domain.athlete.limits import Limit, tightest
from invelo.domain.athlete.strain import Quantity
from invelo.domain.errors import InputError, require_within

Outcome = Literal["unasked", "go", "limits", "doctor"]
Question = Literal[
    "active", "diseases", "signs", "medicines", "pregnancy", "operation", "lax", "pains"
]
Disease = Literal["heart or vessels", "metabolism", "kidneys"]
Sign = Literal[
    "chest pressure",
    "breathless at rest",
    "faint or dizzy",
    "breathless lying down",
    "swollen ankles",
    "racing heart",
    "calf pain walking",
    "heart murmur",
    "unusual tiredness",
]
Medicine = Literal["heart or blood pressure", "blood thinning", "blood sugar", "bones or steroids"]
PainPlace = Literal["wrist", "elbow", "shoulder", "neck", "back", "hip", "knee", "ankle"]

DISEASE_WORDS: dict[Disease, str] = {
    "heart or vessels": "of the heart or the vessels, a stroke, high blood pressure under "
    "treatment",
    "metabolism": "of the metabolism, such as diabetes",
    "kidneys": "of the kidneys",
}
SIGN_WORDS: dict[Sign, str] = {
    "chest pressure": "pressure or pain in chest, neck, jaw or arms, at rest or with effort",
    "breathless at rest": "short of breath at rest or with little effort",
    "faint or dizzy": "fainting, or dizzy spells",
    "breathless lying down": "short of breath lying down, or waking from it at night",
    "swollen ankles": "swollen ankles",
    "racing heart": "a heart that races or stumbles without cause",
    "calf pain walking": "pain in the calves that comes with walking and goes with standing",
    "heart murmur": "a heart murmur that was found",
    "unusual tiredness": "unusual tiredness with everyday things",
}
MEDICINE_WORDS: dict[Medicine, str] = {
    "heart or blood pressure": "for heart or blood pressure",
    "blood sugar": "for blood sugar",
    "blood thinning": "that thin the blood",
    "bones or steroids": "for thin bones, or steroids for long",
}

QUESTION_WORDS: dict[Question, str] = {
    "active": "whether they train already",
    "diseases": "known diseases",
    "signs": "what was noticed lately",
    "medicines": "medicines",
    "pregnancy": "pregnancy or birth",
    "operation": "operations",
    "lax": "joints that bend far",
    "pains": "pain",
}
ALL_ASKED = frozenset(QUESTION_WORDS)

RIEBE = "Riebe et al. 2015 (ACSM's preparticipation screening), from memory"
PRACTICE = "common practice"

GRAVE_PAIN = 4
"""Of 10, from which a place is spared until a clinician has seen it (common practice)."""

LEAST_AGE, MOST_AGE = 6, 110
HEALING_WEEKS = 12
"""After an operation, under which the surgeon speaks first (common practice)."""

SPARED: dict[PainPlace, tuple[tuple[Quantity, float], ...]] = {
    "wrist": (("wrist bend", 30.0), ("straight arms", 0.0)),
    "elbow": (("elbow load", 0.0), ("straight arms", 0.0)),
    "shoulder": (("overhead", 90.0), ("shoulders behind", 10.0), ("straight arms", 0.0)),
    "neck": (("overhead", 120.0), ("neck load", 0.0), ("head down", 0.0)),
    "back": (("impact", 0.0), ("back load", 1.0)),
    "hip": (("impact", 0.0), ("hip bend", 90.0)),
    "knee": (("impact", 0.0), ("knee bend", 60.0)),
    "ankle": (("impact", 0.0), ("ankle bend", 10.0)),
}
"""What a painful place is spared: the most that stays open (common practice)."""


PregnancyStage = Literal["first third", "later", "after birth"]

LIES_ON_BACK: frozenset[PregnancyStage | None] = frozenset(("first third", "after birth"))
"""When lying on the back stays open (common practice)."""


@dataclass(frozen=True)
class Answers:
    """What a person says of themselves.

    Attributes:
        born: date of birth.
        active: at least 30 minutes, three days a week, for the last three months.
        diseases: known.
        signs: noticed.
        medicines: taken.
        pregnant: now, or within three months of birth.
        pregnancy_stage: when, None while it is not told.
        front_comfortable: whether lying on the front is comfortable, of who is.
        operated_weeks: since the last operation; None if there was none within a year.
        pains: 0–10 by place.
        lax: joints that bend further than most.
        asked: questions that were answered; one that was not is no answer “no”.
    """

    born: date
    active: bool
    diseases: frozenset[Disease] = frozenset()
    signs: frozenset[Sign] = frozenset()
    medicines: frozenset[Medicine] = frozenset()
    pregnant: bool = False
    operated_weeks: int | None = None
    pains: dict[PainPlace, int] = field(default_factory=dict)
    lax: bool = False
    asked: frozenset[Question] = ALL_ASKED
    pregnancy_stage: PregnancyStage | None = None
    front_comfortable: bool = False

    def __post_init__(self) -> None:
        """Check ranges, and what cannot both be."""
        for place, pain in self.pains.items():
            require_within(f"pain, {place}", pain, 0, 10, "of 10")
        if self.operated_weeks is not None:
            require_within("operation", self.operated_weeks, 0, 52, "weeks ago")
        if "heart or blood pressure" in self.medicines and "heart or vessels" not in self.diseases:
            raise InputError(
                "medicines",
                "one for heart or blood pressure is told, but no such disease.",
                "Tell what it is for, or take it out.",
            )
        if "blood sugar" in self.medicines and "metabolism" not in self.diseases:
            raise InputError(
                "medicines",
                "one for blood sugar is told, but no disease of the metabolism.",
                "Tell what it is for, or take it out.",
            )

    def age(self, today: date) -> int:
        """Whole years.

        Raises:
            InputError: for a birth in the future, or an age no athlete has.
        """
        if self.born > today:
            raise InputError("born", "that day has not come yet.", "Give the date of birth.")
        had = (today.month, today.day) >= (self.born.month, self.born.day)
        years = today.year - self.born.year - (not had)
        require_within("age", years, LEAST_AGE, MOST_AGE, "years")
        return years


@dataclass(frozen=True)
class Finding:
    """One thing that the answers say.

    Attributes:
        rule: stable name.
        sentence: plain words.
        source: of the rule.
        refers: whether a doctor is asked first.
        limits: the most of a quantity that stays open.
    """

    rule: str
    sentence: str
    source: str
    refers: bool = False
    limits: tuple[tuple[Quantity, float], ...] = ()


@dataclass(frozen=True)
class Screened:
    """Where a screen ends.

    Attributes:
        findings: what the answers say.
        unasked: questions that nobody answered yet.
    """

    findings: tuple[Finding, ...]
    unasked: tuple[Question, ...] = ()

    @property
    def outcome(self) -> Outcome:
        """Go, go with limits, see a doctor first, or not all asked yet."""
        if any(finding.refers for finding in self.findings):
            return "doctor"
        if self.limits:
            return "limits"
        return "unasked" if self.unasked else "go"

    @property
    def limits(self) -> tuple[Limit, ...]:
        """The most of each quantity that stays open, the tightest of what the findings say."""
        return tightest(
            Limit(quantity, most, finding.rule, finding.sentence)
            for finding in self.findings
            for quantity, most in finding.limits
        )


DOCTOR = "doctor"
"""What a clearance lifts besides limits: the word that a doctor is to be seen first."""


@dataclass(frozen=True)
class Cleared:
    """A screen and what clinicians have opened since.

    Attributes:
        screened: what the answers say by themselves.
        lifted: limits that were lifted, and `DOCTOR` where training may begin.
        added: limits a coach has set besides, those that hold today.
    """

    screened: Screened
    lifted: frozenset[str] = frozenset()
    added: tuple[Limit, ...] = ()

    @property
    def of_screen(self) -> tuple[Limit, ...]:
        """What the answers still limit."""
        return tuple(limit for limit in self.screened.limits if limit.quantity not in self.lifted)

    @property
    def limits(self) -> tuple[Limit, ...]:
        """What limits, the tightest of each quantity."""
        return tightest((*self.of_screen, *self.added))

    @property
    def outcome(self) -> Outcome:
        """Where the person stands now."""
        if self.screened.outcome == "doctor" and DOCTOR not in self.lifted:
            return "doctor"
        if self.of_screen:
            return "limits"
        if self.screened.unasked:
            return "unasked"
        return "limits" if self.added else "go"

    @property
    def referral(self) -> Finding:
        """The first reason to see a doctor; asked where there is one."""
        return next(finding for finding in self.screened.findings if finding.refers)

    @property
    def closed(self) -> tuple[str, ...]:
        """All that the screen closed, and that a clearance could lift."""
        first = (DOCTOR,) if self.screened.outcome == "doctor" else ()
        return (*first, *(limit.quantity for limit in self.screened.limits))


def screen(answers: Answers, today: date) -> Screened:
    """What the answers say, safest first.

    Raises:
        InputError: for a birth in the future, or an age no athlete has.
    """
    age = answers.age(today)
    findings = [*_heart(answers), *_states(answers), *_pains(answers)]
    if age < CHILD:
        findings.append(
            Finding(
                "child",
                f"Under {CHILD}: easier variations, bodyweight only, no straight-arm levers, no "
                f"more than {ONE_HAND:g} % on one hand, no drops, no AMRAP sets.",
                PRACTICE,
            )
        )
    if answers.lax:
        findings.append(
            Finding(
                "lax-joints",
                "Joints that bend far: elbows are never locked under load.",
                PRACTICE,
                limits=(("straight arms", 0.0),),
            )
        )
    unasked = tuple(question for question in QUESTION_WORDS if question not in answers.asked)
    return Screened(tuple(sorted(findings, key=lambda finding: not finding.refers)), unasked)


def _heart(answers: Answers) -> Iterable[Finding]:
    if answers.signs:
        signs = ", ".join(sorted(answers.signs))
        yield Finding(
            "signs",
            f"Signs of heart, vessels or metabolism ({signs}): see a doctor before any training.",
            RIEBE,
            refers=True,
        )
    if answers.diseases and not answers.active:
        signs = ", ".join(sorted(answers.diseases))
        yield Finding(
            "disease-inactive",
            f"A known disease ({signs}) and no regular training: see a doctor before starting.",
            RIEBE,
            refers=True,
        )
    elif answers.diseases:
        yield Finding(
            "disease-active",
            "A known disease, used to training, no signs: moderate work goes on; hard holds wait "
            "for a doctor's word within the last year.",
            RIEBE,
            limits=(("hard hold", 0.0), ("head down", 0.0)),
        )


def _states(answers: Answers) -> Iterable[Finding]:
    if answers.pregnant:
        yield Finding(
            "pregnancy",
            "Pregnant, or within three months of birth: the midwife or doctor speaks first.",
            PRACTICE,
            refers=True,
            limits=(
                ("impact", 0.0),
                ("hard hold", 0.0),
                ("hanging", 1.0),
                ("head down", 0.0),
                *(() if answers.pregnancy_stage in LIES_ON_BACK else (("on the back", 0.0),)),
                *(() if answers.front_comfortable else (("on the front", 0.0),)),
            ),
        )
    if answers.operated_weeks is not None and answers.operated_weeks < HEALING_WEEKS:
        yield Finding(
            "operation",
            f"Operated {answers.operated_weeks} weeks ago: the surgeon speaks first.",
            PRACTICE,
            refers=True,
        )
    if answers.medicines & {"blood thinning", "bones or steroids"}:
        yield Finding(
            "medicines",
            "Medicines that make falls and bruises worse: no jumps.",
            PRACTICE,
            limits=(("impact", 0.0),),
        )
    if "bones or steroids" in answers.medicines:
        yield Finding(
            "thin-bones",
            "Medicines for thin bones, or steroids for long: the back is neither rounded nor "
            "twisted under load without a clinician's word.",
            PRACTICE,
            limits=(("back load", 1.0),),
        )


def _pains(answers: Answers) -> Iterable[Finding]:
    for place, pain in sorted(answers.pains.items()):
        if pain >= GRAVE_PAIN:
            yield Finding(
                f"pain-{place}",
                f"Pain of {pain} in the {place}: it is spared until a clinician has seen it.",
                PRACTICE,
                limits=SPARED[place],
            )


HARD_FROM = 16
"""Years from which sets are taken to their end (common practice)."""


def spares_hard_efforts(limits: Iterable[Limit], age: int | None) -> bool:
    """Whether hard efforts are kept from someone: under sixteen, or raised blood pressure, whose
    limit is on long holds.

    Args:
        limits: of the screen.
        age: in years, None where it is not told.
    """
    hard = any(limit.quantity == "hard hold" for limit in limits)
    return hard or (age is not None and age < HARD_FROM)
