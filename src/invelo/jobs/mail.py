"""Mail: a letter is written when it is sent, so that no secret of it lies in the queue."""

from uuid import UUID

import anyio.to_thread

from invelo.jobs.work import Work
from invelo.services.account import passwords


async def send_reset(work: Work, account_id: str) -> None:
    """Send a coach the link that sets a forgotten password anew. A second time sends another
    link; both work until one is used."""
    if work.post is None:
        return
    letter = await work.do(
        passwords.reset_letter, UUID(account_id), work.post.public_address, work.clock()
    )
    if letter is not None:
        await anyio.to_thread.run_sync(work.post.server.send, letter)
