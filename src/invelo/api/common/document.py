"""The OpenAPI document as a file."""

import json

from invelo.api.app import create_app
from invelo.db.database import engine_for
from invelo.runtime.settings import Settings

NOWHERE = "postgresql+psycopg://127.0.0.1/none"
"""An engine connects on first use, and describing the service never does."""


def openapi_json() -> str:
    """The document, in a stable layout that diffs well."""
    document = create_app(Settings(), engine_for(NOWHERE)).openapi()
    return json.dumps(document, indent=1, ensure_ascii=False) + "\n"
