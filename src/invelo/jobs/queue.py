"""The queue's worker: what it can do, by name, and how it runs.

A job runs at least once. A worker that dies leaves its job behind; another takes it up once the
dead one's heartbeat has been missing for a while. So every job may be done twice, and writes once.
"""

import asyncio
from collections.abc import Callable
from datetime import datetime

from procrastinate import App, Blueprint, JobContext, PsycopgConnector, RetryStrategy
from procrastinate.app import WorkerOptions
from sqlalchemy import Engine

from invelo.jobs import background, mail, planning, reviews
from invelo.jobs.work import Post, Work
from invelo.services import background as background_tasks
from invelo.services.account import passwords
from invelo.services.catalogue import own_movements
from invelo.services.plan import planning as plannings
from invelo.services.review import messages, weekly

AT_ONCE = 2
"""Jobs that one worker runs at a time."""

HEARTBEAT = 3.0
STALLED = 10.0
"""Seconds between two heartbeats of a worker, and after how many without one it counts as dead."""

LOOK_FOR_STALLED = "* * * * * */10"
"""When stalled jobs are looked for (cron, seconds last)."""

NIGHT = "7,37 * * * *"
"""When it is looked whether somewhere a night has come in which weeks are reviewed (cron)."""

MAIL_TRIES, MAIL_WAIT = 6, 4
"""How often a letter is tried, and the base of the seconds between: 4, 16, 64 … about half an hour
in all."""

MAIL_RETRY = RetryStrategy(max_attempts=MAIL_TRIES, exponential_wait=MAIL_WAIT)

GRACE = 1.0
"""Seconds that a job has to end once its worker is told to stop; then it is put back."""

tasks = Blueprint()


@tasks.task(name=plannings.TASK, pass_context=True)
async def plan_week(context: JobContext, planning_id: str) -> None:
    """Solve a week that was asked for."""
    await planning.plan_week(context.additional_context["work"], planning_id)


@tasks.periodic(cron=LOOK_FOR_STALLED)
@tasks.task(name="take_up_stalled", pass_context=True, queueing_lock="take_up_stalled")
async def take_up_stalled(context: JobContext, timestamp: int) -> None:
    """Put back into the queue what dead workers have left, and what has no job any more."""
    manager = context.app.job_manager
    for job in await manager.get_stalled_jobs(seconds_since_heartbeat=STALLED):
        await manager.retry_job(job)
    await planning.put_back_forgotten(context.additional_context["work"])
    await background.put_back_forgotten(context.additional_context["work"])


@tasks.task(name=background_tasks.TASK, pass_context=True)
async def do_background_task(context: JobContext, task_id: str) -> None:
    """Do what somebody waits for: a file to be kept, plans to be compared."""
    await background.do(context.additional_context["work"], task_id)


@tasks.task(name=weekly.TASK, pass_context=True)
async def review_week(context: JobContext, athlete_id: str) -> None:
    """Look at an athlete's last week."""
    await reviews.review_week(context.additional_context["work"], athlete_id)


@tasks.periodic(cron=NIGHT)
@tasks.task(name="review_at_night", pass_context=True, queueing_lock="review_at_night")
async def review_at_night(context: JobContext, timestamp: int) -> None:
    """Put into the queue whose week is to be looked at in this night of theirs."""
    if context.additional_context["nightly"]:
        await reviews.queue_due(context.additional_context["work"])


@tasks.task(
    name=passwords.TASK,
    pass_context=True,
    retry=MAIL_RETRY,
)
async def send_reset(context: JobContext, account_id: str) -> None:
    """Send a link that sets a forgotten password anew."""
    await mail.send_reset(context.additional_context["work"], account_id)


@tasks.task(
    name=messages.LINK_TASK,
    pass_context=True,
    retry=MAIL_RETRY,
)
async def send_link(context: JobContext, athlete_id: str) -> None:
    """Send an athlete a link of their own."""
    await mail.send_link(context.additional_context["work"], athlete_id)


@tasks.task(
    name=messages.TASK,
    pass_context=True,
    retry=MAIL_RETRY,
)
async def send_message(context: JobContext, message_id: str) -> None:
    """Send an athlete a message."""
    last = context.job.attempts + 1 >= MAIL_TRIES
    await mail.send_message(context.additional_context["work"], message_id, last=last)


async def work(
    engine: Engine,
    clock: Callable[[], datetime],
    wait: bool = True,
    nightly: bool = False,
    post: Post | None = None,
) -> None:
    """Do what is in the queue.

    Args:
        engine: the database, whose queue it is.
        clock: tells the time.
        wait: for more; without it, ends once the queue is empty.
        nightly: review weeks by itself at night.
        post: how letters go out; None for not at all.
    """
    own_movements.known_from(engine)
    url = engine.url.set(drivername="postgresql").render_as_string(hide_password=False)
    app = App(connector=PsycopgConnector(conninfo=url, min_size=1, max_size=4))
    app.add_tasks_from(tasks, namespace="")
    options: WorkerOptions = {
        "wait": wait,
        "concurrency": AT_ONCE,
        "listen_notify": wait,
        "install_signal_handlers": wait,
        "update_heartbeat_interval": HEARTBEAT,
        "stalled_worker_timeout": STALLED,
        "delete_jobs": "successful",
        "additional_context": {"work": Work(engine, clock, post), "nightly": nightly},
    }
    if wait:
        options["shutdown_graceful_timeout"] = GRACE
    async with app.open_async():
        await app.run_worker_async(**options)


def drain(engine: Engine, clock: Callable[[], datetime], post: Post | None = None) -> None:
    """Do all that is in the queue, in this process, and return."""
    asyncio.run(work(engine, clock, wait=False, post=post))
