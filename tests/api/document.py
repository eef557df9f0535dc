"""The API's document as the front end was made from it; that it is the service's own is tested."""

import json
from typing import Any

from invelo.runtime.settings import ROOT

KEPT = ROOT / "web" / "openapi.json"
DOCUMENT: dict[str, Any] = json.loads(KEPT.read_text(encoding="utf-8"))
OPERATIONS: list[tuple[str, str, dict[str, Any]]] = sorted(
    (method.upper(), path, operation)
    for path, methods in DOCUMENT["paths"].items()
    for method, operation in methods.items()
)
"""Method, path and what is said of it."""
