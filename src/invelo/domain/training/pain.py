"""Where it hurts, in someone's own words: which joints that is.

The phone ends what loads a place with no network, so it is sent the same words as data.
"""

from invelo.domain.catalogue.movement import StressedJoint

JOINT_WORDS: dict[StressedJoint, tuple[str, ...]] = {
    "wrist": ("wrist", "hand", "palm", "thumb", "finger"),
    "elbow": ("elbow", "forearm"),
    "shoulder": ("shoulder", "collarbone", "armpit", "upper arm"),
    "neck": ("neck",),
    "back": ("back", "spine", "tailbone"),
    "hip": ("hip", "groin"),
    "knee": ("knee", "shin"),
    "ankle": ("ankle", "achilles", "heel", "foot", "toe"),
}
"""Words that name a joint or what is beside it and hurts with it (common practice)."""


def joints_of(place: str) -> frozenset[StressedJoint]:
    """The joints that a place names; none for words that name no joint.

    >>> sorted(joints_of("inside of the left Elbow, and the thumb"))
    ['elbow', 'wrist']
    """
    said = place.casefold()
    return frozenset(
        joint for joint, words in JOINT_WORDS.items() if any(word in said for word in words)
    )
