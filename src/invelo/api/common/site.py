"""The built front end: one page for every place, its assets, and what makes it open offline."""

from pathlib import Path

from fastapi import APIRouter, FastAPI, HTTPException, Request
from fastapi.responses import FileResponse, HTMLResponse
from starlette.responses import Response
from starlette.staticfiles import StaticFiles
from starlette.types import Scope

NONCE = "__CSP_NONCE__"

AT_THE_ROOT = {
    "sw.js": "text/javascript",
    "manifest.webmanifest": "application/manifest+json",
}
"""Files that must lie at the root; the browser asks for them anew each time."""


class Assets(StaticFiles):
    """Files whose names carry a hash of their contents: kept by the browser for good."""

    async def get_response(self, path: str, scope: Scope) -> Response:
        """Serve one file."""
        response = await super().get_response(path, scope)
        response.headers["Cache-Control"] = "public, max-age=31536000, immutable"
        return response


def install(app: FastAPI, dist: Path) -> None:
    """Serve the front end from `dist`; every path that is not the API's gets its page."""
    router = APIRouter(include_in_schema=False)
    app.mount("/assets", Assets(directory=dist / "assets", check_dir=False))

    @router.get("/{path:path}")
    def page(path: str, request: Request) -> Response:
        if path == "api" or path.startswith("api/"):
            raise HTTPException(404, "No such address")
        kind = AT_THE_ROOT.get(path)
        if kind and (dist / path).is_file():
            return FileResponse(dist / path, media_type=kind, headers={"Cache-Control": "no-cache"})
        index = dist / "index.html"
        if not index.exists():
            raise HTTPException(503, "The front end is not built; run ./invelo serve")
        html = index.read_text(encoding="utf-8").replace(NONCE, request.state.nonce)
        return HTMLResponse(html)

    app.include_router(router)
