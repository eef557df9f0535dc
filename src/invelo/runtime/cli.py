"""The command line. `./invelo` prepares the machine and hands over here.

Heavy imports stand inside the commands, so that each loads only what it needs.
"""

import json
import os
import socket
import subprocess
import sys
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from datetime import UTC, datetime
from pathlib import Path
from typing import TYPE_CHECKING, Annotated, Any, TextIO

import typer
from pydantic import ValidationError

from invelo.runtime import serving
from invelo.runtime.settings import ROOT, Settings

if TYPE_CHECKING:
    from sqlalchemy import Engine

app = typer.Typer(
    help="Bodyweight progression ladders, drawn to scale.",
    no_args_is_help=True,
    add_completion=False,
    pretty_exceptions_enable=False,
)

Port = Annotated[
    int | None, typer.Option(min=1, max=65535, help="Port; the next free one if not given.")
]


@app.command()
def demo(
    port: Port = None,
    fresh: Annotated[bool, typer.Option(help="Begin the demo's story anew.")] = False,
    weeks: Annotated[int, typer.Option(min=1, max=104, help="How long the story is.")] = 26,
) -> None:
    """Serve the application with the touring theatre's data, on this machine only."""
    from invelo.api.app import create_app
    from invelo.db.database import engine_for, migrate, transaction
    from invelo.demo.history import load
    from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD

    settings = _settings()
    listener = serving.listen("127.0.0.1", port or settings.port, asked=port is not None)
    with suppress(KeyboardInterrupt), serving.own_server("demo", settings.data_dir) as server:
        if fresh:
            server.drop("demo")
        url = server.url("demo")
        migrate(url)
        engine = engine_for(url)
        with transaction(engine) as db:
            load(db, datetime.now(UTC), weeks, serving.say)
        address = f"http://127.0.0.1:{listener.getsockname()[1]}"
        with serving.demo_mail(settings, address) as posted, serving.worker(url, posted):
            serving.run(
                create_app(posted, engine),
                listener,
                f"ready at {address}\n"
                f"        sign in as {COACH_EMAIL}\n"
                f"        password   {COACH_PASSWORD}\n"
                "        Ctrl-C stops everything that was started here.",
            )
        engine.dispose()


def _watched(url: str, settings: Settings) -> "Engine":
    """A pool on a database whose slow statements are logged."""
    from invelo.db.database import engine_for
    from invelo.db.observed import log_slow

    engine = engine_for(url)
    if settings.slow_statement_ms:
        log_slow(engine, settings.slow_statement_ms)
    return engine


@app.command()
def serve(
    port: Port = None,
    workers: Annotated[
        int, typer.Option(min=1, max=64, help="Processes that answer on the port.")
    ] = 1,
) -> None:
    """Serve the application with settings from the environment (INVELO_…), without demo data."""
    from invelo.api.app import create_app
    from invelo.db.database import migrate

    settings = _settings()
    chosen = port or settings.port
    asked = port is not None or "INVELO_PORT" in os.environ
    listener = serving.listen(settings.host, chosen, asked)
    with suppress(KeyboardInterrupt), serving.database(settings, "serve") as url:
        migrate(url)
        engine = _watched(url, settings)
        address = f"http://{settings.host}:{listener.getsockname()[1]}"
        more = serving.copies(url, settings, listener, workers - 1)
        with serving.worker(url, settings), more:
            serving.run(create_app(settings, engine), listener, f"ready at {address}")
        engine.dispose()


@app.command(hidden=True)
def copy(
    listening: Annotated[int, typer.Option("--socket", help="The socket to answer on.")],
    beside: Annotated[bool, typer.Option(help="End once standard input closes.")] = False,
) -> None:
    """One more process of a service, on the socket it is given."""
    from invelo.api.app import create_app

    settings = _settings()
    engine = _watched(settings.database_url, settings)
    if beside:
        serving.end_with_parent()
    with suppress(KeyboardInterrupt):
        serving.run(create_app(settings, engine), socket.socket(fileno=listening))
    engine.dispose()


@app.command()
def worker(
    beside: Annotated[
        bool, typer.Option(hidden=True, help="End once standard input closes.")
    ] = False,
) -> None:
    """Do the long work of a service: plan weeks, review them at night.

    `serve` and `demo` start one; more may help. INVELO_DATABASE_URL names its database."""
    import asyncio

    from invelo.api.common.context import system_clock
    from invelo.db.database import engine_for
    from invelo.devices.mail import server_of
    from invelo.jobs.queue import work
    from invelo.jobs.work import Post

    settings = _settings()
    url = settings.database_url
    if not url:
        serving.say("a worker needs the database that the service uses.")
        serving.say("what to do: set INVELO_DATABASE_URL; `serve` and `demo` start their own.")
        raise SystemExit(2)
    if beside:
        serving.end_with_parent()
    engine = engine_for(url)
    with suppress(KeyboardInterrupt):
        mail = server_of(settings)
        post = Post(mail, settings.address) if mail else None
        asyncio.run(work(engine, system_clock, nightly=settings.nightly, post=post))
    engine.dispose()


@app.command("reset-password")
def reset_password(
    email: Annotated[str, typer.Argument(help="The address that signs in.")],
) -> None:
    """Make a link with which a coach sets a forgotten password anew; it works once, two hours."""
    from invelo.db.database import engine_for, migrate, transaction
    from invelo.services.account import passwords

    settings = _settings()
    with serving.database(settings, "serve") as url:
        migrate(url)
        with transaction(engine_for(url)) as db:
            begun = passwords.begin_reset(db, email, datetime.now(UTC))
    if begun is None:
        serving.say(f"nobody signs in as {email}.")
        raise SystemExit(1)
    _, token = begun
    serving.say(f"open {settings.address}/reset#{token}")
    serving.say("it works once, within two hours; hand it to nobody but its owner.")


@app.command()
def coach(
    email: Annotated[str, typer.Argument(help="The address to sign in with.")],
    name: Annotated[str, typer.Option(prompt=True)],
    time_zone: Annotated[str, typer.Option(help="IANA name.", prompt=True)] = "Europe/Lisbon",
    password: Annotated[
        str, typer.Option(prompt=True, hide_input=True, confirmation_prompt=True)
    ] = "",
) -> None:
    """Make a coach's account for `serve`."""
    from email_validator import EmailNotValidError, validate_email

    from invelo.db.database import engine_for, migrate, transaction
    from invelo.db.errors import RefusedError
    from invelo.domain.errors import InputError
    from invelo.services.account import accounts

    try:
        address = validate_email(email, check_deliverability=False).normalized
        with serving.database(_settings(), "serve") as url:
            migrate(url)
            with transaction(engine_for(url)) as db:
                accounts.create(db, address, name, password, time_zone, datetime.now(UTC))
    except (EmailNotValidError, InputError, RefusedError) as error:
        serving.say(str(error))
        raise SystemExit(1) from error
    serving.say(f"{address} can sign in now.")


ArchivePath = Annotated[Path, typer.Argument(help="The archive, a .zip file.")]
OfDemo = Annotated[bool, typer.Option("--demo", help="The demo's data instead of the service's.")]


@app.command()
def backup(path: ArchivePath, demo: OfDemo = False) -> None:
    """Write everything kept to one archive of JSON Lines."""
    from invelo.db.database import engine_for, migrate
    from invelo.services import archive

    with _kept(demo) as url:
        migrate(url)
        engine = engine_for(url)
        manifest = archive.write(engine, path, datetime.now(UTC))
        engine.dispose()
    serving.say(f"{manifest.rows} rows of {len(manifest.tables)} tables kept in {path}")


@app.command()
def restore(path: ArchivePath, demo: OfDemo = False) -> None:
    """Read an archive into an empty database: all of it, or nothing."""
    from invelo.db.database import engine_for, migrate
    from invelo.domain.errors import InputError
    from invelo.services import archive

    with _kept(demo) as url:
        migrate(url)
        engine = engine_for(url)
        try:
            manifest = archive.restore(engine, path)
        except InputError as error:
            serving.say(str(error))
            raise SystemExit(2) from error
        finally:
            engine.dispose()
    serving.say(f"{manifest.rows} rows of {len(manifest.tables)} tables restored from {path}")


@contextmanager
def _kept(demo: bool) -> Iterator[str]:
    """The database of the service, or of the demo."""
    if demo:
        with serving.own_server("demo", _settings().data_dir) as server:
            yield server.url("demo")
    else:
        with serving.database(_settings(), "serve") as url:
            yield url


QUICK = (
    *("tests/domain", "tests/phone"),
    *("tests/api/test_access.py", "tests/api/training/test_floor.py", "tests/api/test_security.py"),
    *("-m", "not law"),
)
"""What a contributor runs while working: the rules, the phone's logic, who may see what."""

WORKERS = ("--numprocesses", str(min(4, (os.cpu_count() or 1) + 1)), "--dist", "worksteal")
"""Each has a PostgreSQL, a port and a browser of its own; one more than there are cores, as one
mostly waits."""


@app.command(context_settings={"allow_extra_args": True, "ignore_unknown_options": True})
def test(context: typer.Context) -> None:
    """Run every test, browser included; --quick what takes two minutes, --long all at full length.
    Further arguments go to pytest."""
    asked = [part for arg in context.args for part in (QUICK if arg == "--quick" else (arg,))]
    command = [sys.executable, "-m", "pytest", *WORKERS, *asked]
    raise SystemExit(subprocess.call(command, cwd=ROOT))  # noqa: S603


@app.command()
def bench(
    path: Annotated[
        Path | None, typer.Argument(help="JSON file; .local/bench.json if not given.")
    ] = None,
) -> None:
    """Measure statics and service; print ratios to references of the same run."""
    command = [sys.executable, "-m", "bench", *([str(path)] if path else [])]
    raise SystemExit(subprocess.call(command, cwd=ROOT))  # noqa: S603


CHECKS = (
    ("style of the Python code", ["ruff", "check", "."], ROOT),
    ("layout of the Python code", ["ruff", "format", "--check", "."], ROOT),
    ("types of the Python code", ["mypy"], ROOT),
    ("import rules", ["lint-imports", "--no-cache"], ROOT),
    ("types and style of the front end", ["npm", "run", "--silent", "check"], ROOT / "web"),
)

_HEARD: dict[str, Any] = {
    "stdout": subprocess.PIPE,
    "stderr": subprocess.STDOUT,
    "text": True,
}


@app.command()
def check() -> None:
    """Run the linters, the type checkers and the import rules, side by side."""
    running = [
        (what, command, subprocess.Popen(command, cwd=folder, **_HEARD))  # noqa: S603
        for what, command, folder in CHECKS
    ]
    failed = []
    for what, command, process in running:
        output, _ = process.communicate()
        serving.say(f"checked {what}: {' '.join(command)}")
        print(output, end="", flush=True)
        if process.returncode:
            failed.append(what)
    if failed:
        serving.say(f"not in order: {', '.join(failed)}. Mend what is printed above.")
        raise SystemExit(1)


@app.command()
def openapi(path: Annotated[Path, typer.Argument(help="Where to write it.")]) -> None:
    """Write the OpenAPI document, from which the front end's client is made."""
    from invelo.api.common.document import openapi_json

    path.write_text(openapi_json(), encoding="utf-8")


@app.command()
def vocabulary(path: Annotated[Path, typer.Argument(help="Where to write it.")]) -> None:
    """Write the lists of words that the front end is built with."""
    from invelo.api.common.vocabulary import vocabulary_ts

    path.write_text(vocabulary_ts(), encoding="utf-8")


Source = Annotated[typer.FileText, typer.Argument(help="A JSON list; standard input if left out.")]
Schema = Annotated[bool, typer.Option("--schema", help="Print the JSON Schema of the input.")]


@app.command()
def leverage(source: Source = "-", schema: Schema = False) -> None:  # type: ignore[assignment]
    """What set-ups ask of a body: a JSON list in, a JSON list out."""
    from invelo.formats.scripts import leverage as exchange

    _answer(source, schema, exchange.requests, exchange.leverage)


@app.command()
def predict(source: Source = "-", schema: Schema = False) -> None:  # type: ignore[assignment]
    """From tested sets and holds to others: a JSON list in, a JSON list out."""
    from invelo.formats.scripts import predict as exchange

    _answer(source, schema, exchange.requests, exchange.predict)


@app.command()
def review(source: Source = "-", schema: Schema = False) -> None:  # type: ignore[assignment]
    """Sessions on a ladder to what is known and what comes next: a JSON list in, a list out."""
    from invelo.formats.scripts import review as exchange
    from invelo.formats.scripts.review_shapes import requests

    _answer(source, schema, requests, exchange.review)


ObjectSource = Annotated[
    typer.FileText, typer.Argument(help="A JSON object; standard input if left out.")
]


@app.command()
def ladder(source: ObjectSource = "-", schema: Schema = False) -> None:  # type: ignore[assignment]
    """A ladder, a body, tests and kit in JSON to demands, steps, gaps and bridges."""
    from invelo.formats.scripts import ladder as exchange
    from invelo.formats.scripts.movements import said

    if schema:
        print(json.dumps(exchange.schema(), indent=2, ensure_ascii=False))
        return
    try:
        ladder_answer = exchange.answer(_object(source, "one ladder"))
    except exchange.FaultyError as error:
        for fault in error.faults:
            serving.say(f"{fault.place}: {fault.problem} {fault.remedy}")
        raise SystemExit(2) from error
    print(json.dumps(said(ladder_answer), indent=2, ensure_ascii=False))


@app.command()
def week(source: ObjectSource = "-", schema: Schema = False) -> None:  # type: ignore[assignment]
    """Days and what they should hold in JSON to the best plan, with its score and reasons."""
    from invelo.domain.errors import InputError
    from invelo.formats.plan import document as exchange

    if schema:
        print(json.dumps(exchange.schema(), indent=2, ensure_ascii=False))
        return
    from invelo.domain.plan.week.solve import solve

    try:
        request = exchange.read(_object(source, "one week"))
        problem = request.core()
        solved = solve(problem, seconds=request.seconds)
    except InputError as error:
        serving.say(str(error))
        raise SystemExit(2) from error
    print(exchange.answer(problem, solved).model_dump_json(indent=2))
    if solved.relaxed:
        raise SystemExit(1)


@app.command()
def simulate(
    plans: Annotated[str, typer.Option(help="Short names, with commas; `--list` shows them.")] = "",
    athletes: Annotated[int, typer.Option(help="How many, 2 to 2000.")] = 20,
    weeks: Annotated[int, typer.Option(help="How long, 4 to 104.")] = 26,
    seed: Annotated[int, typer.Option(help="The same seed gives the same bytes.")] = 1,
    as_json: Annotated[bool, typer.Option("--json", help="Print JSON.")] = False,
    chart: Annotated[Path | None, typer.Option(help="Write the drawing here, SVG.")] = None,
    jobs: Annotated[int, typer.Option(help="Processes that share the work.")] = 1,
    show: Annotated[bool, typer.Option("--list", help="Show the plans there are.")] = False,
) -> None:
    """Compare methods, rule settings and fixed plans on the same simulated athletes.

    Ctrl-C stops it and shows what was done by then.
    """
    from invelo.domain.errors import InputError
    from invelo.domain.simulation.compare import CANDIDATES, USUAL, Question
    from invelo.formats.scripts import simulation
    from invelo.jobs import simulating

    if show:
        for candidate in CANDIDATES.values():
            print(f"{candidate.id:<16}{candidate.name}")
        return
    named = tuple(filter(None, (part.strip() for part in plans.split(",")))) or USUAL
    try:
        question = Question(named, athletes, weeks, seed)
    except InputError as error:
        serving.say(str(error))
        raise SystemExit(2) from error
    comparison, whole = simulating.run(question, jobs, serving.say)
    if chart is not None:
        chart.write_text(simulation.chart(comparison), encoding="utf-8")
    print(comparison.model_dump_json(indent=2) if as_json else simulation.table(comparison))
    if not whole:
        raise SystemExit(130)


def _object(source: TextIO, what: str) -> Any:
    """The JSON of a file that is not too long."""
    from invelo.formats.ladder.shapes import MOST_BYTES

    text = source.read(MOST_BYTES + 1)
    if len(text) > MOST_BYTES:
        serving.say(f"input: it is over {MOST_BYTES // 1024} KiB. Send {what} at a time.")
        raise SystemExit(2)
    try:
        return json.loads(text)
    except json.JSONDecodeError as error:
        serving.say(f"input: it is not JSON: {error.msg} at line {error.lineno}. Mend it there.")
        raise SystemExit(2) from error


def _answer(source: TextIO, schema: bool, requests: Any, answer: Any) -> None:
    from invelo.domain import MODEL_VERSION
    from invelo.domain.errors import InputError
    from invelo.formats.scripts.lists import answer_list, schema_of

    if schema:
        print(json.dumps(schema_of(requests), indent=2, ensure_ascii=False))
        return
    try:
        answers, good = answer_list(
            source.read(), requests, lambda request: answer(request, MODEL_VERSION)
        )
    except InputError as error:
        serving.say(str(error))
        raise SystemExit(2) from error
    print(json.dumps(answers, indent=2, ensure_ascii=False))
    if not good:
        raise SystemExit(1)


def _settings() -> Settings:
    try:
        return Settings()
    except ValidationError as error:
        for fault in error.errors():
            name = "_".join(["INVELO", *(str(part).upper() for part in fault["loc"])])
            serving.say(f"{name}: {fault['msg']}. Mend it in the environment.")
        raise SystemExit(2) from error
