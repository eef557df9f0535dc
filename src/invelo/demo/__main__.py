"""Live the demo's story anew and keep it: some minutes, wherever a rule or the schema changed."""

import os
import tempfile
from pathlib import Path

from invelo.db.database import engine_for, migrate, transaction
from invelo.demo import kept
from invelo.demo.history import live
from invelo.demo.theatre import CREW
from invelo.runtime import postgres


def main() -> None:
    """Six months of everybody in a database that is thrown away."""
    with tempfile.TemporaryDirectory(prefix="invelo-story-") as folder:
        os.chmod(folder, 0o755)  # noqa: S103  (the server runs as another user)
        with postgres.running(Path(folder) / "postgres") as server:
            url = server.url("story")
            migrate(url)
            engine = engine_for(url)
            with transaction(engine) as db:
                live(db, kept.END, [member.name for member in CREW])
                kept.write(db.connection())
            engine.dispose()


if __name__ == "__main__":
    main()
