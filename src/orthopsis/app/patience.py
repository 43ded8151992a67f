"""A connection on which a request is begun and not said to its end is closed after a while."""

from asyncio import TimerHandle, Transport

from uvicorn.protocols.http.httptools_impl import HttpToolsProtocol

HEADER_S = 10.0
"""So long the head of a request may take; browsers on this machine need milliseconds."""


class PatientProtocol(HttpToolsProtocol):
    """The server's own protocol with a clock for the head of a request."""

    _clock: TimerHandle | None = None

    def connection_made(self, transport: Transport) -> None:  # type: ignore[override]
        super().connection_made(transport)
        self._start()

    def connection_lost(self, exc: Exception | None) -> None:
        self._stop()
        super().connection_lost(exc)

    def on_message_begin(self) -> None:
        super().on_message_begin()
        self._start()

    def on_headers_complete(self) -> None:
        self._stop()
        super().on_headers_complete()

    def _start(self) -> None:
        self._stop()
        self._clock = self.loop.call_later(HEADER_S, self.transport.close)

    def _stop(self) -> None:
        if self._clock is not None:
            self._clock.cancel()
            self._clock = None
