"""A proxy in front: who asks, by which name and how, as it says; and nobody else is believed."""

from __future__ import annotations

import ipaddress
from collections.abc import Iterable, Sequence
from typing import TYPE_CHECKING, Any

from werkzeug.middleware.proxy_fix import ProxyFix

from vividowl.settings import FORWARDED_FOR

if TYPE_CHECKING:
    from _typeshed.wsgi import StartResponse, WSGIApplication, WSGIEnvironment


class Behind:
    """An application behind proxies at known addresses. header: in which they name the address that asks; the last one
    in it counts, which the proxy itself has added."""

    def __init__(self, application: WSGIApplication, proxies: Sequence[str], header: str = FORWARDED_FOR) -> None:
        self._straight = application
        self._told: Any = ProxyFix(application, x_for=1, x_proto=1, x_host=1)
        self._proxies = [ipaddress.ip_network(proxy) for proxy in proxies]
        self._header = "HTTP_" + header.upper().replace("-", "_")

    def __call__(self, environ: WSGIEnvironment, start_response: StartResponse) -> Iterable[bytes]:
        if not self._known(environ.get("REMOTE_ADDR", "")):
            return self._straight(environ, start_response)
        # Whatever else the one who asks has put into the usual header says nothing.
        environ["HTTP_X_FORWARDED_FOR"] = environ.get(self._header, "")
        answer: Iterable[bytes] = self._told(environ, start_response)
        return answer

    def _known(self, address: str) -> bool:
        try:
            asks = ipaddress.ip_address(address)
        except ValueError:
            return False
        return any(asks in proxy for proxy in self._proxies)
