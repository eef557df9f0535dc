"""The job's words that browser and service both know, written out for the front end's build.

The front end imports what `./invelo vocabulary web/src/common/vocabulary.ts` writes, so that no
list is typed there a second time; a test holds that file to this module.
"""

import json
from collections.abc import Mapping
from typing import Any, get_args

from invelo.domain.athlete import screen
from invelo.domain.athlete.strain import MEASURES
from invelo.domain.biomechanics.setup import PLACES
from invelo.domain.catalogue.movement import LEAST_PRIME, MUSCLES, StressedJoint
from invelo.domain.equipment import kit
from invelo.domain.plan.plan_overrides import ALONE, TOGETHER
from invelo.domain.plan.prescription import Level, Purpose
from invelo.domain.plan.session.exactly import RepRange
from invelo.domain.plan.session.template import CHAINED
from invelo.domain.plan.session.work import REASONS, SideRule
from invelo.domain.plan.week.problem import WEEKDAYS
from invelo.domain.strength.bands import LABEL_STRETCH, LABELS
from invelo.domain.training.by_hand import LoadPlace
from invelo.domain.training.pain import JOINT_WORDS
from invelo.domain.training.run import SKIP_REASONS

HEAD = "/** Made by `./invelo vocabulary`: the words that browser and service both know. */\n"


def _pairs(words: Mapping[Any, str]) -> list[list[str]]:
    return [[name, said] for name, said in words.items()]


def vocabulary() -> dict[str, Any]:
    """Every list by its name; a pair is a name and what it is called on screen."""
    return {
        "purposes": get_args(Purpose),
        "levels": get_args(Level),
        "joints": get_args(StressedJoint),
        "jointWords": [[joint, list(words)] for joint, words in JOINT_WORDS.items()],
        "regions": MUSCLES,
        "primeFrom": LEAST_PRIME,
        "kitKinds": _pairs(kit.KIND_WORDS),
        "kitThatBears": sorted(kit.BEARS),
        "kitThatFills": sorted(kit.FILLS),
        "kitWithWeight": sorted(kit.NEEDS_WEIGHT),
        "kitWithHeight": sorted(kit.NEEDS_HEIGHT),
        "limits": [
            [name, measure.asks, measure.unit, measure.greatest]
            for name, measure in MEASURES.items()
        ],
        "painPlaces": get_args(screen.PainPlace),
        "diseases": _pairs(screen.DISEASE_WORDS),
        "signs": _pairs(screen.SIGN_WORDS),
        "medicines": _pairs(screen.MEDICINE_WORDS),
        "formatsAlone": ALONE,
        "formatsTogether": TOGETHER,
        "formatsChained": CHAINED,
        "repRanges": get_args(RepRange),
        "sideRules": get_args(SideRule),
        "insteadReasons": REASONS,
        "weekdays": WEEKDAYS,
        "bandPlaces": tuple(PLACES),
        "bandLabels": [[word, kg] for word, kg in LABELS.items()],
        "bandLabelStretch": LABEL_STRETCH,
        "loadPlaces": get_args(LoadPlace),
        "skipReasons": SKIP_REASONS,
    }


def vocabulary_ts() -> str:
    """The module that the front end imports."""
    lists = json.dumps(vocabulary(), ensure_ascii=False, indent=2)
    return f"{HEAD}export const VOCABULARY = {lists} as const;\n"
