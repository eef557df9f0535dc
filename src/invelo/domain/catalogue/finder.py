"""Finding a movement by what people call it: its name, a synonym, either of them misspelt."""

import re
from collections import defaultdict
from collections.abc import Iterable
from dataclasses import dataclass
from functools import cached_property

from rapidfuzz import fuzz, process

from invelo.domain.catalogue.movement import Movement

ALIKE = 84.0
"""Likeness, %, from which a misspelt name is taken for another (ours: a letter in six)."""

WHOLE = 100.0
"""The same of names whose words are all among those asked for."""

FEW = 2
"""Letters up to which a word keeps its last s."""


def plain(name: str) -> str:
    """A name as it is compared: lower case, in the singular, in one word."""
    return "".join(_words(name))


PUSH_UP = re.compile(r"\bpush-up", re.IGNORECASE)
"""What is called a press-up in Britain, of any kind (common practice)."""


def _words(name: str) -> list[str]:
    return [_singular(word) for word in re.findall(r"[\w%°+]+", name.casefold())]


def _singular(word: str) -> str:
    if len(word) <= FEW or word.endswith("ss"):
        return word
    if word.endswith("ches") or word.endswith("shes") or word.endswith("sses"):
        return word[:-2]
    return word.removesuffix("s")


@dataclass(frozen=True)
class Finder:
    """The movements there are, looked up by their names.

    Attributes:
        movements: in the order of the pages.
    """

    movements: tuple[Movement, ...]

    def called(self, name: str) -> tuple[Movement, ...]:
        """Movements that bear a name or synonym, whatever its spelling of hyphens and plurals; one
        whose first name it is comes before those that are also called so."""
        wanted = plain(name)
        first = self._by_first_name.get(wanted, [])
        also = [movement for movement in self._by_name.get(wanted, ()) if movement not in first]
        return (*first, *also)

    def find(self, words: str, most: int = 20) -> tuple[Movement, ...]:
        """Movements that words may mean, the likeliest first: those called so; those whose names
        hold every word; those whose names are spelt alike."""
        if not plain(words):
            return self.movements[:most]
        asked = _words(words)
        names = [
            *self._holding(asked),
            *self._alike(plain(words), list(self._by_name), ALIKE, most),
            *self._alike(" ".join(asked), list(self._spaced), WHOLE, most),
        ]
        by_id: dict[str, Movement] = {movement.id: movement for movement in self.called(words)}
        for name in names:
            by_id |= {
                movement.id: movement
                for movement in self._by_name[plain(name)]
                if movement.id not in by_id
            }
        return tuple(by_id.values())[:most]

    def _holding(self, asked: list[str]) -> list[str]:
        """Names with a word that begins with each that is asked for, the shortest first."""
        holding = (name for name in self._spaced if all(f" {each}" in f" {name}" for each in asked))
        return sorted(holding, key=len)

    @staticmethod
    def _alike(words: str, names: list[str], least: float, most: int) -> list[str]:
        """Names spelt alike, the likest first."""
        scorer = fuzz.ratio if least < WHOLE else fuzz.token_set_ratio
        alike = process.extract(words, names, scorer=scorer, limit=most, score_cutoff=least)
        return [name for name, _, _ in alike]

    @cached_property
    def _by_first_name(self) -> dict[str, list[Movement]]:
        named: dict[str, list[Movement]] = defaultdict(list)
        for movement in self.movements:
            for name in dict.fromkeys((plain(movement.name), plain(movement.id))):
                named[name].append(movement)
        return dict(named)

    @cached_property
    def _by_name(self) -> dict[str, list[Movement]]:
        named: dict[str, list[Movement]] = defaultdict(list)
        for movement in self.movements:
            for name in dict.fromkeys(plain(spelling) for spelling in names_of(movement)):
                named[name].append(movement)
        return dict(named)

    @cached_property
    def _spaced(self) -> tuple[str, ...]:
        """Every name with its words apart, in the singular."""
        return tuple(
            " ".join(_words(name)) for movement in self.movements for name in names_of(movement)
        )


def names_of(movement: Movement) -> Iterable[str]:
    """All that a movement is called, on either side of the Atlantic."""
    names = (movement.name, *movement.also, movement.id)
    british = (PUSH_UP.sub("press-up", name) for name in names if PUSH_UP.search(name))
    return (*names, *british)
