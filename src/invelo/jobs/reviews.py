"""Weeks reviewed at night: who is due is put into the queue, each is a job of their own."""

from uuid import UUID

from invelo.jobs.work import Work
from invelo.services.review import weekly


async def queue_due(work: Work) -> None:
    """Put into the queue whose week is to be looked at in this night of theirs."""
    await work.do(weekly.queue_due, work.clock())


async def review_week(work: Work, athlete_id: str) -> None:
    """Look at an athlete's last week; a second time changes nothing."""
    await work.do(weekly.look_by_job, UUID(athlete_id), work.clock())
