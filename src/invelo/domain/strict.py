"""What comes in from outside, before the rules look at it, and what goes out."""

from collections.abc import Iterable
from typing import Any, Self

from pydantic import AliasChoices, BaseModel, ConfigDict, field_validator


def renamed(name: str, *earlier: str) -> AliasChoices:
    """The names under which a field is read: its own, and those it had in earlier releases, which
    old files and what a phone still holds unsent are written with."""
    return AliasChoices(name, *earlier)


LONGEST_TEXT = 2000
MOST_ITEMS = 2000
GREATEST = 1e9
"""Letters, items of a list, and size of a number, that any field may have; most have less."""


class StrictModel(BaseModel):
    """A request or a document; a misspelt field is an error, not silence, and nothing in it is of a
    size or kind that nobody could have meant."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False, str_max_length=LONGEST_TEXT)

    @field_validator("*", mode="before", check_fields=False)
    @classmethod
    def _could_be_meant(cls, value: Any) -> Any:
        for part in value if isinstance(value, list) else (value,):
            if isinstance(part, str) and "\0" in part:
                raise ValueError("it holds a letter that is none (NUL)")
            if isinstance(part, int | float) and abs(part) > GREATEST:
                raise ValueError("it is beyond any number that is meant")
        if isinstance(value, list) and len(value) > MOST_ITEMS:
            raise ValueError(f"it holds more than {MOST_ITEMS} items")
        return value


def attributes_of(names: Iterable[str], *values: object) -> dict[str, Any]:
    """What some values say themselves under these names, the first that does."""
    wanted = tuple(names)
    return {
        name: getattr(value, name)
        for value in reversed(values)
        for name in wanted
        if hasattr(value, name)
    }


class ResponseModel(BaseModel):
    """An answer, readable off the domain's and rows' own values."""

    model_config = ConfigDict(from_attributes=True)

    @classmethod
    def of(cls, *values: object, **more: Any) -> Self:
        """What the values say themselves, and with it what none of them does."""
        return cls(**attributes_of(cls.model_fields.keys() - more.keys(), *values), **more)
