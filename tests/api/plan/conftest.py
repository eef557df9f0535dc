"""Someone with weeks to plan."""

from copy import deepcopy
from typing import Any

import pytest

from tests.api.coach import Coach
from tests.api.plan.test_week import planned, two_ladders


@pytest.fixture
def athlete(stage, coach: Coach) -> str:
    return stage("two ladders", lambda: two_ladders(coach))  # type: ignore[no-any-return]


@pytest.fixture
def plan(stage, coach: Coach, athlete: str) -> dict[str, Any]:
    """Their next week, solved and kept."""
    return deepcopy(stage("two ladders, planned", lambda: planned(coach, athlete)))
