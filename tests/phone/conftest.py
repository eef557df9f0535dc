"""One Node process for all tests of the phone's logic."""

from collections.abc import Iterator

import pytest

from tests.phone.node import Node, bundle


@pytest.fixture(scope="session")
def node(tmp_path_factory: pytest.TempPathFactory) -> Iterator[Node]:
    made = Node(bundle(tmp_path_factory.mktemp("phone")))
    yield made
    made.close()
