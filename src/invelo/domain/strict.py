"""What comes in from outside, before the rules look at it."""

from pydantic import AliasChoices, BaseModel, ConfigDict


def renamed(name: str, *earlier: str) -> AliasChoices:
    """The names under which a field is read: its own, and those it had in earlier releases, which
    old files and what a phone still holds unsent are written with."""
    return AliasChoices(name, *earlier)


class StrictModel(BaseModel):
    """A request or a document; a misspelt field is an error, not silence."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)
