"""Two depths of one test: short in every run, long with `--long`."""

from typing import TypeVar

from hypothesis import settings

Value = TypeVar("Value")

settings.register_profile("short", deadline=None)  # a slow machine fails nothing
settings.register_profile("long", deadline=None, max_examples=1000)

_long = False


def choose(long: bool) -> None:
    """Set the depth of this run, before its tests are collected."""
    global _long
    _long = long
    settings.load_profile("long" if long else "short")


def is_long() -> bool:
    """Whether this run is a long one."""
    return _long


def depth(short: Value, long: Value) -> Value:
    """How many, how long: the one of this run."""
    return long if _long else short
