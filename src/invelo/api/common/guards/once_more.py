"""A request whose transaction clashed with another's is done once more before it is refused."""

from starlette.types import ASGIApp, Message, Receive, Scope, Send


class OnceMore:
    """Ask the application again where its first answer was that two changes clashed.

    The body that was read the first time is read again from memory; it is as large as the size
    limit lets it be.
    """

    def __init__(self, app: ASGIApp) -> None:
        """Wrap an application."""
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass on the first answer, or the second."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        heard: list[Message] = []
        state = scope.setdefault("state", {})

        async def hear() -> Message:
            message = await receive()
            heard.append(message)
            return message

        async def answer(message: Message) -> None:
            if not state.get("clashed"):
                heard.clear()  # it is being answered: nothing is asked again
                await send(message)

        await self.app(scope, hear, answer)
        if state.pop("clashed", False):
            again = iter([*heard])

            async def hear_again() -> Message:
                return next(again, None) or await receive()

            await self.app(scope, hear_again, send)
