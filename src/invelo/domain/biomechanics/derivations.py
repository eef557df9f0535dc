"""Accounts of a reading's figures: what went in, the formula in words, the source."""

from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from invelo.domain.biomechanics.body import GRAVITY, Body
from invelo.domain.biomechanics.posture.skeleton import Posture
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.estimate import Derivation, Input

FORMULAS = {
    "hands": "The upward part of the hands' force ÷ 9.80665 m/s².",
    "pull": "The size of the hands' force ÷ 9.80665 m/s².",
    "arms": "The hands' force ÷ 9.80665 m/s², less the mass of forearms and hands.",
    "legs": "√(knee² + hip²) of a working leg: each torque ÷ what that joint can do at its bend "
    "(knee 200 N·m at 60–75°, hip 250 N·m, for 75 kg and 1.75 m; others by mass × stature), in %.",
    "feet": "The working foot's force ÷ 9.80665 m/s², less its own mass; one foot's load counts "
    "twice, so that it compares with two.",
    "carried": "Body mass and what is worn.",
}


RANGE_WORDS = (
    "The range lets limb lengths, segment masses and how exactly it is set up differ as they do "
    "between people, and takes in how far published loads lie from the model's."
)


@dataclass(frozen=True)
class Derivations:
    """Accounts of one set-up's figures, which share inputs and sources."""

    body: Body
    setup: SetUp
    posture: Posture

    @cached_property
    def inputs(self) -> tuple[Input, ...]:
        """What went in, as it is told."""
        setup = self.setup
        labels = {parameter.name: parameter for parameter in setup.form.parameter}
        inputs = [
            Input("body mass", self.body.mass, "kg"),
            Input("stature", self.body.stature, "m"),
            *(Input(f"{name}, measured", value, "m") for name, value in self.body.lengths),
            *(Input(f"{name}, share of mass", value) for name, value in self.body.shares),
            *(
                Input(labels[name].label, value, labels[name].unit)
                for name, value in setup.all_values.items()
            ),
        ]
        if self.body.hands and setup.form.measure == "hands" and setup.form.shares_load:
            inputs.append(Input("a household scale on this body", self.body.hands_factor, "×"))
        if setup.added_load.total:
            inputs.append(Input("carried", setup.added_load.total, "kg"))
        if setup.assistance:
            inputs.append(
                Input(f"assistance at the {setup.assistance.at}", setup.assistance.kg, "kg")
            )
        if setup.range < 1.0:
            inputs.append(Input("share of the range", 100 * setup.range, "%"))
            if setup.from_end:
                inputs.append(Input("from", setup.form.ends[1]))
        for force in self.posture.outside:
            if force.name == "band":
                pulls = np.linalg.norm(force.vector[:, 0], axis=-1) / GRAVITY
                inputs.append(Input("band pulls, start", float(pulls[0]), "kg"))
                if len(pulls) > 1:
                    inputs.append(Input("band pulls, end", float(pulls[-1]), "kg"))
        return tuple(inputs)

    @cached_property
    def sources(self) -> tuple[str, ...]:
        """Where the method comes from."""
        bands = ("Mooney 1940; Rivlin 1948 (uniaxial tension)",) if self.setup.band else ()
        return (self.body.table.source, "plane statics", *bands)

    @property
    def _balance(self) -> str:
        return (
            "The weight of the body and what it carries, balanced on what it touches; "
            f"{self.posture.closure}. "
        )

    def demand(self) -> Derivation:
        """Of the limiting measure in the hardest third of the rep."""
        place = self.place(None)
        if self.setup.form.counted == "hold":
            return place
        words = "The mean of the hardest third of the rep. "
        return replace(place, formula=words + place.formula)

    def place(self, depth: float | None) -> Derivation:
        """Of the limiting measure at a place along the rep."""
        form = self.setup.form
        formula = (
            f"Moment of weight and contact forces about the {form.joint}, of everything beyond it"
            + (
                "; one leg's counts twice, so that it compares with two."
                if form.one_leg_works
                else ", both sides together."
            )
            if form.measure == "torque"
            else FORMULAS[form.measure]
        )
        share = self.setup.all_values.get("share", 50.0)
        if share > 50.0:
            formula += (
                f" One hand has {share:g} % of it: told as two hands would share it, "
                f"× {share / 50:g}."
            )
        note = form.says if depth != 0.0 else ""
        return Derivation(
            f"{self._balance}{formula} {RANGE_WORDS}", self.inputs, self.sources, note
        )

    def share(self, unit: str) -> Derivation:
        """Of the demand on the scale on which bodies compare."""
        by = "body weight × stature" if unit == "N·m" else "body mass"
        return Derivation(f"The demand ÷ {by}. {RANGE_WORDS}", self.inputs, self.sources)

    def torque(self, joint: str) -> Derivation:
        """Of one joint's torque."""
        leg = joint.removeprefix("other_") in ("hip", "knee", "ankle")
        sides = "that leg alone" if leg and self.posture.legs_differ else "both sides together"
        return Derivation(
            f"{self._balance}Moment of weight and contact forces about the "
            f"{joint.replace('_', ' ')}, of everything beyond it, {sides}; its size. "
            + RANGE_WORDS,
            self.inputs,
            self.sources,
        )

    def force(self, contact: str) -> Derivation:
        """Of one contact's upward force."""
        return Derivation(
            f"{self._balance}Upward force on the {contact} ÷ 9.80665 m/s². {RANGE_WORDS}",
            self.inputs,
            self.sources,
        )

    def work(self) -> Derivation:
        """Of the work of a rep."""
        return Derivation(
            "Carried mass × g × how far its centre rises over the rep, less what band or "
            f"assistance do on the way. {RANGE_WORDS}",
            self.inputs,
            self.sources,
        )

    def balance(self) -> Derivation:
        """Of how far the centre lies beyond the support."""
        return Derivation(
            "How far the centre of mass lies beyond what the body stands on; 0 where it is over.",
            self.inputs,
            self.sources,
        )
