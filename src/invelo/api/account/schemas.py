"""What the account's routes share: who is signed in, a password, and where a try comes from."""

from typing import Annotated
from uuid import UUID

from fastapi import Request
from pydantic import Field

from invelo.domain.strict import ResponseModel

Password = Annotated[
    str, Field(min_length=1, max_length=200, examples=["three sandbags and a riser"])
]


class SignedIn(ResponseModel):
    """The coach who is signed in."""

    id: UUID
    email: str = Field(examples=["coach@theatre.example"])
    name: str = Field(examples=["Ilse Marn"])
    time_zone: str = Field(examples=["Europe/Lisbon"])


def machine_of(request: Request) -> str:
    """Where a try comes from: one network of IPv6 is one machine, since it holds any number."""
    host = request.client.host if request.client else "unknown"
    return ":".join(host.split(":")[:4]) if host.count(":") > 1 else host
