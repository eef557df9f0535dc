"""What comes in from outside, before the rules look at it."""

from pydantic import BaseModel, ConfigDict


class StrictModel(BaseModel):
    """A request or a document; a misspelt field is an error, not silence."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)
