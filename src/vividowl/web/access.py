"""Who may call what. A route without a declared access rule answers no one."""

from __future__ import annotations

import ipaddress
import uuid
from collections.abc import Callable
from typing import Any, TypeVar
from urllib.parse import urlsplit

from flask import current_app, request, session
from flask_login import LoginManager, UserMixin, current_user
from werkzeug.exceptions import NotFound

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.shop import accounts
from vividowl.service.shop.accounts import SignedIn
from vividowl.service.workshop import Actor, Workshop

View = TypeVar("View", bound=Callable[..., Any])
# What customers reach under a public name; what anybody on this machine and in the shop's network does.
RULES = ("customer", "public", "member", "owner")
# A proxy of any make names who asks in one of these, or in others that begin like the first.
FORWARDED = ("X-Forwarded", "Forwarded", "Via", "X-Real-Ip", "X-Client-Ip", "True-Client-Ip", "Cf-Connecting-Ip")


class User(UserMixin):  # type: ignore[misc]
    """The signed-in member as flask-login wants it. The id is that of the session, which the server can end."""

    def __init__(self, signed_in: SignedIn, session_id: uuid.UUID) -> None:
        self.signed_in = signed_in
        self.session_id = session_id
        self.id = str(session_id)


def access(rule: str) -> Callable[[View], View]:
    """Declare who may call a view."""
    if rule not in RULES:
        raise ValueError(f"“{rule}” is no access rule.")

    def mark(view: View) -> View:
        view.access_rule = rule  # type: ignore[attr-defined]
        return view

    return mark


def takes_body(most: int) -> Callable[[View], View]:
    """Let a view take a larger body than others. It must be known before anything looks at the body."""

    def mark(view: View) -> View:
        view.body_most = most  # type: ignore[attr-defined]
        return view

    return mark


def workshop() -> Workshop:
    """Database and files of this application."""
    found: Workshop = current_app.extensions["workshop"]
    return found


def signed_in() -> SignedIn | None:
    """Who is signed in, if anyone."""
    return current_user.signed_in if current_user.is_authenticated else None


def actor() -> Actor:
    """Who acts. Only views behind a rule other than public may ask."""
    found = signed_in()
    if found is None:
        raise Refused("forbidden", say("access-you-not-signed-in"), reason="signed_out")
    return found.actor


def from_this_machine() -> bool:
    """Whether the request comes straight from this machine, not through a proxy."""
    if any(name.title().startswith(FORWARDED) for name, _ in request.headers):
        return False
    try:
        return ipaddress.ip_address(request.remote_addr or "").is_loopback
    except ValueError:
        return False


def session_id() -> uuid.UUID | None:
    """The session that asks, if anyone is signed in."""
    return current_user.session_id if current_user.is_authenticated else None


def load_user(user_id: str) -> User | None:
    """The member behind a session cookie, None when the session has ended."""
    try:
        session = uuid.UUID(user_id)
    except ValueError:
        return None
    found = accounts.by_session(workshop(), session)
    return User(found, session) if found is not None else None


def same_origin() -> None:
    """Refuse what changes something and was sent by a page of another address. Beside the token, not instead of it."""
    if request.method in ("GET", "HEAD", "OPTIONS"):
        return
    origin, site = request.headers.get("Origin"), request.headers.get("Sec-Fetch-Site", "same-origin")
    host = urlsplit(origin).netloc if origin else request.host
    # A proxy may pass another name on than the one that was asked for; under each of ours the pages are ours.
    ours = host == request.host or urlsplit(f"//{host}").hostname in current_app.config["PUBLIC_HOSTS"]
    if not ours or site not in ("same-origin", "none"):
        raise Refused("forbidden", say("access-this-was-sent-by-page"), reason="origin")


def for_customers() -> bool:
    """Whether it was asked for under a name of the outside."""
    return urlsplit(f"//{request.host}").hostname in current_app.config["PUBLIC_HOSTS"]


def guard() -> None:
    """Before each request: deny unless the view's rule lets the caller in."""
    if request.endpoint is None:
        return
    view = current_app.view_functions[request.endpoint]
    rule = getattr(view, "access_rule", None)
    if rule is None:
        raise Refused("forbidden", say("access-this-address-closed"), reason="no_rule")
    if rule != "customer" and for_customers():
        raise NotFound
    if rule in ("customer", "public"):
        return
    found = signed_in()
    if found is None:
        raise Refused("forbidden", say("access-you-not-signed-in"), reason="signed_out")
    if rule == "owner" and found.role != "owner":
        raise Refused("forbidden", say("access-only-owner-may-do-this"), reason="role")
    most = getattr(view, "body_most", None)
    if most is not None:
        request.max_content_length = most


def install(app: Any) -> None:  # noqa: ANN401
    """Put the guard and the session loader in front of an application."""
    manager = LoginManager(app)
    manager.session_protection = None
    manager.user_loader(load_user)
    app.before_request(same_origin)
    app.before_request(guard)


def agent() -> str:
    """What the browser says of itself."""
    return request.headers.get("User-Agent", "")


def start_session(found: SignedIn, begun: uuid.UUID | None = None) -> None:
    """Begin a session: a fresh one, so that an id given before sign-in is worth nothing. begun: that of a tablet, whose
    cookie stays when its browser is closed."""
    from flask_login import login_user

    end_session()
    session.clear()
    session.permanent = begun is not None
    login_user(User(found, begun or accounts.begin_session(workshop(), found, agent())))


def end_session() -> None:
    """End the session that asks, on the server."""
    here = session_id()
    if here is not None:
        accounts.end_session(workshop(), here)
