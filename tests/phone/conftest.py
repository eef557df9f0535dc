"""One Node process for all tests of the phone's logic."""

from collections.abc import Iterator

import pytest

from tests.phone.athlete import Athlete
from tests.phone.node import Node, bundle
from tests.phone.sheets import in_turn, item


@pytest.fixture(scope="session")
def node(tmp_path_factory: pytest.TempPathFactory) -> Iterator[Node]:
    made = Node(bundle(tmp_path_factory.mktemp("phone")))
    yield made
    made.close()


@pytest.fixture
def oda(node: Node) -> Athlete:
    """At two movements of three sets: the first a side at a time, the right side first."""
    one_leg = item("one-leg squat", sides=2, first="right", loads={"knee": 3, "hip": 2})
    return Athlete(node, in_turn(one_leg, item("push-up", loads={"wrist": 2, "shoulder": 2})))


@pytest.fixture
def plain(node: Node) -> Athlete:
    return Athlete(node, in_turn(item("push-up", loads={"wrist": 2})))
