"""Forms: the families' postures as data.

A form says which joint angles a movement starts and ends with, which of them a coach may change,
what touches the world, how the body settles on it, and which measure limits the movement. The
pages under `forms/` hold them; `posture.build` makes postures of them.
"""

from dataclasses import dataclass, field
from functools import cache
from importlib import resources
from tomllib import loads
from typing import Literal

from pydantic import TypeAdapter

from invelo.domain.errors import InputError, require_within

Measure = Literal["hands", "pull", "arms", "legs", "feet", "torque", "carried"]
Unit = Literal["m", "°", "%", "kg"]
Counted = Literal["reps", "hold", "rpe"]

MEASURES: dict[Measure, str] = {
    "hands": "hand load",
    "pull": "pull of the hands",
    "arms": "load on the arms",
    "legs": "effort of the working leg",
    "feet": "load on the ball of the foot",
    "torque": "torque",
    "carried": "body and load",
}
"""What limits a form, in words.

- `hands`: upward force of the world on the hands;
- `pull`: force along the arms;
- `arms`: force on the hands less the weight of forearms and hands;
- `legs`: torques at knee and hip of a working leg over what those joints can do at their bend,
  joined; % of all that a leg of this body does;
- `feet`: force on the working foot less its own weight, as two would share it evenly (one foot's
  load counts twice);
- `torque`: of the muscles at the form's joint, both sides together (one leg that works alone counts
  twice);
- `carried`: body and what it wears, where nothing finer can be said.
"""

ToldStrain = Literal["straight arms", "hard hold", "on the back"]
"""What a form strains that no posture tells: 1 where straight arms bear the body in a support, 2 in
a lever; 1 for a hold in which the breath is easily held, or that lies on the back."""

Lane = tuple[str, str, str, str]
"""Family, measure, joint and way of counting that two forms share if one says something of the
other."""

Push = Literal["any", "up", "strap", "across"]


@dataclass(frozen=True)
class Parameter:
    """Something a coach may change.

    Attributes:
        name: in stored set-ups.
        label: in words.
        unit: of its values.
        low, high, default: in that unit.
        step: how finely it is set.
        sets: the joint angle it is, '' where the builder reads it by name.
        at: the end of the rep it sets the angle at.
        sign, plus: the angle is `sign` × value + `plus`.
        depth: whether it says how deep a rep goes; then it tells on the rep's length too.
        tried: spacing at which bridges are sought along it, "kit" for the heights to hand, 0 where
            none are.
    """

    name: str
    label: str
    unit: Unit
    low: float
    high: float
    default: float = 0.0
    step: float = 1.0
    sets: str = ""
    at: Literal["start", "end", "both"] = "both"
    sign: float = 1.0
    plus: float = 0.0
    depth: bool = False
    tried: float | Literal["kit"] = 0.0


@dataclass(frozen=True)
class Touch:
    """A contact.

    Attributes:
        at: what touches.
        push: what is known of the force's direction: nothing ("any"), or along the straps where
            there are any ("strap").
        pull: most that it is pulled towards the other contact, of what presses on it, beyond what
            the body's slope makes lean that way by itself; all that friction bears where it is 0.
    """

    at: Literal[
        "hands",
        "forearms",
        "balls",
        "feet",
        "heels",
        "knees",
        "back",
        "front",
        "shoulders",
        "wall",
        "rear",
    ]
    push: Push = "any"
    pull: float = 0.0


@dataclass(frozen=True)
class Form:
    """A family's posture.

    Attributes:
        id, name, family: as stored, as shown, and what it trains.
        counted: in reps, in seconds of a hold, or by effort alone.
        measure: what limits it.
        joint: whose torque, for a limiting torque; also whose endurance curve.
        ends: names of the two ends of the rep.
        facing: where the chest faces with the head to the right.
        anchor: the contact the posture stands on or hangs from.
        turn: what turns until the posture settles, '' where nothing does.
        until: what that turning brings about.
        gives: the joint that gives along the rep so that hands and feet keep their place, '' where
            the arms are placed so.
        arms: how the arms are placed where not by angles.
        grip: whether the hands lie flat on a surface or close about something.
        touches: contacts.
        start, end: joint angles, degrees.
        one_leg_works: whether the limiting torque is that of one leg, which does the work alone.
        leg_out: hip angle of a second leg that is stretched all the way out, degrees.
        upper_trunk: whether the upper half of the trunk is held up too; its torque about the waist
            joins that of the form's joint.
        most_lift: how far straight legs may rise over level, degrees; beyond, reach limits them.
        loose: standard deviation of a parameter or angle as set up in practice; metres are told
            as a share of stature.
        loads: places at which weight may be carried.
        level_plane: whether the plane is level, seen from above.
        pose: whether it is only drawn; nothing is asked of it at the Bench.
        parameter: what may be changed.
        preset: named values of the parameters.
        strains: what it strains in a person beyond what the posture tells, as a class.
        says: what the coach should know of the model's limits here.
        caution: what can hurt.
    """

    id: str
    name: str
    family: str
    counted: Counted
    measure: Measure
    facing: Literal["up", "down"]
    anchor: Literal["hands", "forearms", "balls", "feet", "heels", "knees", "back", "front"]
    start: dict[str, float]
    touches: tuple[Touch, ...]
    joint: str = ""
    end: dict[str, float] = field(default_factory=dict)
    ends: tuple[str, str] = ("start", "end")
    turn: Literal["", "trunk", "shoulder", "hip", "upper body"] = ""
    until: Literal["", "centre over hands", "centre over feet", "far contact"] = ""
    far: Literal["", "hands", "forearms", "shoulders", "heels"] = ""
    gives: Literal["", "hip", "knee"] = ""
    arms: Literal["angles", "press", "bar"] = "angles"
    grip: Literal["palm", "bar"] = "palm"
    one_leg_works: bool = False
    leg_out: float = 0.0
    upper_trunk: bool = False
    most_lift: float = 90.0
    loose: dict[str, float] = field(default_factory=dict)
    loads: tuple[Literal["vest", "bag", "ankles", "lap", "hands"], ...] = ("vest", "bag", "ankles")
    level_plane: bool = False
    pose: bool = False
    parameter: tuple[Parameter, ...] = ()
    preset: dict[str, dict[str, float]] = field(default_factory=dict)
    strains: dict[ToldStrain, int] = field(default_factory=dict)
    says: str = ""
    caution: str = ""

    @property
    def lane(self) -> Lane:
        """What makes two forms comparable: one family, limited by the same, counted alike."""
        return self.family, self.measure, self.joint, self.counted

    @property
    def shares_load(self) -> bool:
        """Whether two contacts leave open how they share the load."""
        return len(self.touches) == 2 and all(touch.push == "any" for touch in self.touches)

    @property
    def curve(self) -> Literal["upper", "legs"]:
        """Which curve's reps it counts: squat-like work of the legs allows more at a share of the
        one-rep load than pressing, pulling and work of a single joint."""
        return "legs" if self.measure == "legs" else "upper"

    @property
    def limiting(self) -> str:
        """The limiting measure in words."""
        return f"{self.joint} torque" if self.measure == "torque" else MEASURES[self.measure]

    def values(self, given: dict[str, float]) -> dict[str, float]:
        """Every parameter's value, the defaults filled in.

        Raises:
            InputError: for one that this form lacks, or a value out of its range.
        """
        known = {other.name: other for other in self.parameter}
        for name, value in given.items():
            if name not in known:
                raise InputError(
                    name.replace("_", " "),
                    f"the {self.name.lower()} has no such measure.",
                    f"Use one of {', '.join(known) or 'none'}.",
                )
            parameter = known[name]
            require_within(
                name.replace("_", " "), value, parameter.low, parameter.high, parameter.unit
            )
        return {name: given.get(name, other.default) for name, other in known.items()}

    def named(self, preset: str) -> dict[str, float]:
        """The values of a preset.

        Raises:
            InputError: if there is none of that name.
        """
        if preset not in self.preset:
            raise InputError(
                "shape", f"“{preset}” is not known.", f"Use one of {', '.join(self.preset)}."
            )
        return self.preset[preset]


@cache
def forms() -> dict[str, Form]:
    """Every form that ships with the product, by id, validated on first use."""
    folder = resources.files("invelo.domain.biomechanics.posture.forms")
    pages = sorted((p for p in folder.iterdir() if p.name.endswith(".toml")), key=lambda p: p.name)
    read = [form for page in pages for form in loads(page.read_text(encoding="utf-8"))["form"]]
    known = TypeAdapter(tuple[Form, ...]).validate_python(read)
    return {form.id: form for form in known}


def form(form_id: str) -> Form:
    """A form by its id.

    Raises:
        InputError: if there is none.
    """
    known = forms().get(form_id) or _kept.get(form_id)
    if known is None:
        raise InputError(
            "movement", f"“{form_id}” is not known.", f"Use one of {', '.join(forms())}."
        )
    return known


_kept: dict[str, Form] = {}
"""Forms of movements that coaches made, by id."""


def keep_form(own: Form) -> None:
    """Make a form that ships with no product known to this process; under one id it stays."""
    _kept[own.id] = own


def forget_form(form_id: str) -> None:
    """Let go of one that was only looked at."""
    _kept.pop(form_id, None)
