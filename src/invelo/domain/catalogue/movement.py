"""Movements, and what changes a movement's demand."""

from dataclasses import dataclass, field, replace
from functools import cached_property
from typing import Literal, get_args

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.posture.form import Form, form
from invelo.domain.biomechanics.setup import Assistance, BandHold, SetUp, set_up
from invelo.domain.equipment.kit import Kind, Surface
from invelo.domain.plan.prescription import Counted, Unit
from invelo.domain.strength.tempo import Tempo

Muscle = Literal[
    "chest",
    "front shoulder",
    "side shoulder",
    "rear shoulder",
    "triceps",
    "biceps",
    "forearm",
    "upper back",
    "lats",
    "shoulder blade",
    "neck",
    "abs",
    "obliques",
    "lower back",
    "hip flexors",
    "glutes",
    "side glutes",
    "quads",
    "hamstrings",
    "adductors",
    "calves",
    "shins",
]
"""Regions that work, in the words of the trade."""

EARLIER_REGIONS: dict[str, Muscle] = {
    "elbow benders": "biceps",
    "forearm and grip": "forearm",
    "abdomen": "abs",
    "side of the trunk": "obliques",
    "low back": "lower back",
    "hip benders": "hip flexors",
    "buttocks": "glutes",
    "side of the hip": "side glutes",
    "front thigh": "quads",
    "rear thigh": "hamstrings",
    "inner thigh": "adductors",
    "calf": "calves",
    "shin and foot": "shins",
}
"""What regions were called in files of earlier releases, and on phones that have not sent yet."""

Rest = Literal["skill", "strength", "size", "endurance", "finisher", "squeeze"]
"""What a movement's sets are usually for, which says how long to rest between them."""

RESTS: dict[Rest, int] = {
    "skill": 150,
    "strength": 120,
    "size": 75,
    "endurance": 60,
    "finisher": 45,
    "squeeze": 15,
}
"""Seconds (common practice)."""

StressedJoint = Literal["wrist", "elbow", "shoulder", "neck", "back", "hip", "knee", "ankle"]
STRESS = {1: "light", 2: "moderate", 3: "hard"}
"""Classes of joint stress in words (common practice): hard ones come once or twice a week."""

RATED: frozenset[Kind] = frozenset({"bar", "rings", "straps", "parallel bars"})
RATED_CAUTION = "Bar, rings or straps are rated and checked before each use."
BAND_CAUTION = (
    "No nick, knot or white crease in the band; its anchor cannot slip or cut; face turned away; "
    "stretched to 2.5 times its length at most."
)
LEAST_PRIME = 20
"""Per cent of the work from which a region is a prime mover here (ours)."""


@dataclass(frozen=True)
class Fault:
    """Something to see in a rep, and what to do about it.

    Attributes:
        name: what is seen.
        remedy: what to do.
        easier: id of the easier movement it calls for; '' where less of the same is the answer.
    """

    name: str
    remedy: str
    easier: str = ""


@dataclass(frozen=True, kw_only=True)
class Movement:
    """A named exercise.

    Two movements may share a name: they are told apart by their posture.

    Attributes:
        id: stable name in stored data.
        name: plain name.
        family: movements that train one pattern.
        form: the posture that is computed, or only drawn.
        counted: how reps are counted.
        prime: regions that do the work, % of it.
        helping: regions that help, % of the work; with the prime ones they add up to 100.
        cues: three at most.
        rest: what its sets are usually for.
        fault: faults with the easier movement each calls for.
        values: of the form's parameters where this movement differs from the form.
        amount: what a set is counted in; the form says where it is left empty.
        also: other terms for it.
        depth: the least and the most depth of a rep.
        stress: joints and how much they bear: 1 light, 2 moderate, 3 hard.
        cautions: of its own and of its family, shown on the rung and before a session; what follows
            from kit and posture is in `warnings`.
        drops_cautions: of the family's, which do not hold for it.
        limits_of_figure: what the drawn figure does not tell, for the coach, beside the number.
        kit: any one of these is needed; nothing is if it is empty.
        kit_count: so many of it.
        pairs: kinds of it of which two are needed, one for each hand.
        kit_heights: the least and the most height above the floor at which it serves, m, where the
            posture does not say it.
        on_floor: whether it takes none of it with the hands on the floor.
        with_kit: what is needed besides: any one of each.
        floor: it wants, '' for any.
        only_prepares: whether it is a drill that trains nothing by itself, such as breathing
            against a flat back: it stands in for no other movement.
        strain: what no posture tells of how it strains someone, or what a posture gets wrong, by
            quantity; see `invelo.domain.athlete.strain`. Impact is 1 for jacks and running on the
            spot, 2 for jumps, 3 for drops and hops on one leg.
        of_height: values in metres for a body of 1.75 m that are no real thing's: shares of
            height.
    """

    id: str
    name: str
    family: str
    form: str
    counted: Counted
    prime: dict[Muscle, int] = field(hash=False)
    cues: tuple[str, ...]
    rest: Rest
    fault: tuple[Fault, ...]
    helping: dict[Muscle, int] = field(default_factory=dict, hash=False)
    values: dict[str, float] = field(default_factory=dict, hash=False)
    amount: Unit | Literal[""] = ""
    also: tuple[str, ...] = ()
    depth: tuple[str, ...] = ()
    stress: dict[StressedJoint, Literal[1, 2, 3]] = field(default_factory=dict, hash=False)
    cautions: tuple[str, ...] = ()
    drops_cautions: tuple[str, ...] = ()
    limits_of_figure: tuple[str, ...] = ()
    kit: tuple[Kind, ...] = ()
    kit_count: int = 1
    pairs: tuple[Kind, ...] = ()
    kit_heights: tuple[float, float] | None = None
    on_floor: bool = False
    with_kit: tuple[tuple[Kind, ...], ...] = ()
    floor: Surface | Literal[""] = ""
    only_prepares: bool = False
    strain: dict[str, float] = field(default_factory=dict, hash=False)
    of_height: tuple[str, ...] = ()

    def __post_init__(self) -> None:
        """Hold the catalogue to its own rules: see docs/catalogue.md."""
        wrong = self._careless()
        if wrong:
            raise ValueError(f"{self.id}: {' '.join(wrong)}")

    def _careless(self) -> list[str]:
        faults = []
        if not 1 <= len(self.cues) <= 3:
            faults.append(f"one to three cues are wanted, not {len(self.cues)}.")
        if not self.fault:
            faults.append("no fault is named; say at least one, and what to do about it.")
        worked = {**self.prime, **self.helping}
        if sum(worked.values()) != 100 or len(worked) != len(self.prime) + len(self.helping):
            faults.append(
                f"shares of the regions add up to {sum(worked.values())} %, not 100, or one is "
                "named twice."
            )
        if any(share < LEAST_PRIME for share in self.prime.values()):
            faults.append(f"a region under {LEAST_PRIME} % helps; it is no prime mover.")
        self.posture.values(self.values)
        if self.unit == "reps" and len(self.depth) != 2:
            faults.append("a rep wants its least and its most depth.")
        computed = {"hold": "s", "reps": "reps"}.get(self.posture.counted, self.amount)
        if self.amount not in ("", computed):
            faults.append(f"its form counts {computed}, not {self.amount}.")
        if self.posture.counted == "rpe" and not self.amount:
            faults.append("its form computes nothing; say what is counted: reps, s or cm.")
        return faults

    @property
    def posture(self) -> Form:
        """The form it is computed by."""
        return form(self.form)

    @property
    def unit(self) -> Unit:
        """What a set of it is counted in: reps, seconds of a hold, or centimetres of a jump."""
        if self.amount:
            return self.amount
        return "s" if self.posture.counted == "hold" else "reps"

    @property
    def rpe_only(self) -> bool:
        """Whether physics cannot weigh it: the athlete sets the resistance."""
        return self.posture.counted == "rpe"

    @property
    def tells_capacity(self) -> bool:
        """Whether its greatest count tells a strength that is computed."""
        return not self.rpe_only and self.unit != "cm"

    @property
    def warnings(self) -> tuple[str, ...]:
        """Cautions with what follows from the kit it is done on, each once."""
        kit = {*self.kit, *(kind for kinds in self.with_kit for kind in kinds)}
        warnings = [*self.cautions]
        if RATED & set(self.kit) and not any("check" in line for line in warnings):
            warnings.append(RATED_CAUTION)
        if "band" in kit:
            warnings.append(BAND_CAUTION)
        return tuple(dict.fromkeys(warnings))

    @property
    def muscles(self) -> tuple[Muscle, ...]:
        """Every region that works, the most first."""
        worked: dict[Muscle, int] = {**self.prime, **self.helping}
        return tuple(sorted(worked, key=lambda region: -worked[region]))

    def share_of(self, region: Muscle) -> int:
        """How much of the work a region does, %."""
        return {**self.prime, **self.helping}.get(region, 0)

    def kit_of(self, modifiers: "Modifiers") -> tuple[Kind, ...]:
        """Any one of these is needed as it is set up; nothing if it is empty."""
        values = dict(self.own(modifiers).values)
        default = self.posture.values({}).get("hand_height", 0.0)
        low = values.get("hand_height", default) == 0.0
        return () if self.on_floor and low else self.kit

    def takes(self, kinds: frozenset[Kind] | None) -> bool:
        """Whether things of these kinds are enough for it; None for anything."""
        return kinds is None or not self.kit or bool(kinds & set(self.kit))

    def __hash__(self) -> int:
        """By the id alone: there are hardly two of one, and questions about one are many."""
        return hash(self.id)

    @cached_property
    def as_it_is(self) -> "Modifiers":
        """With nothing changed: this movement's own values."""
        return self.own(Modifiers())

    def own(self, modifiers: "Modifiers") -> "Modifiers":
        """The modifiers with this movement's own values under them."""
        return replace(modifiers, values=sorted_values({**self.values, **dict(modifiers.values)}))


MUSCLES: tuple[Muscle, ...] = get_args(Muscle)


NO_LOAD, USUAL_TEMPO = AddedLoad(), Tempo()


@dataclass(frozen=True)
class Modifiers:
    """What is changed about a movement.

    Attributes:
        values: of the form's parameters where they differ from its own, sorted by name.
        added_load: mass carried.
        band, assistance: what pulls or lifts from outside.
        range: share of the full range, from the rep's start.
        tempo: seconds of each phase.
        from_end: whether the range is used from the rep's other end.
    """

    values: tuple[tuple[str, float], ...] = ()
    added_load: AddedLoad = NO_LOAD
    band: BandHold | None = None
    assistance: Assistance | None = None
    range: float = 1.0
    tempo: Tempo = USUAL_TEMPO
    from_end: bool = False

    def __hash__(self) -> int:
        """Worked out once; set-ups that differ in a band alone are told apart by comparing."""
        return self._hash

    @cached_property
    def _hash(self) -> int:
        return hash((self.values, self.added_load, self.range, self.tempo, self.from_end))

    def setup(self, movement: Movement) -> SetUp:
        """The posture's own set-up.

        Raises:
            InputError: for a value out of range.
        """
        return self.of_form(movement.form)

    def of_form(self, form_id: str, shape: str | None = None) -> SetUp:
        """The set-up of a form, or of a named shape of it with these values on top.

        Raises:
            InputError: for a value out of range.
        """
        return set_up(
            form_id,
            shape=shape,
            added_load=self.added_load,
            band=self.band,
            assistance=self.assistance,
            range=self.range,
            from_end=self.from_end,
            **dict(self.values),
        )


def sorted_values(values: dict[str, float]) -> tuple[tuple[str, float], ...]:
    """Values as `Modifiers` keeps them."""
    return tuple(sorted(values.items()))
