"""Sign in, sign out, first owner."""

from __future__ import annotations

import hmac
import uuid

from flask import current_app, request, session
from flask_limiter import Limiter
from flask_limiter.util import get_remote_address
from flask_login import logout_user
from flask_wtf.csrf import generate_csrf
from pydantic import BaseModel

from vividowl.core.quantities.words import say
from vividowl.service.errors import Refused
from vividowl.service.shop import accounts
from vividowl.web.access import (
    access,
    actor,
    end_session,
    from_this_machine,
    session_id,
    signed_in,
    start_session,
    workshop,
)
from vividowl.web.blueprint import blueprint
from vividowl.web.session.schemas import PersonOut, SessionOut, SessionsOut, SetUpIn, SignInIn
from vividowl.words import languages

api = blueprint("session", __name__, url_prefix="/api")
limiter = Limiter(get_remote_address, headers_enabled=True)


def _login_and_address() -> str:
    """Guesses count by account and address: a stranger's do not lock the right password out."""
    body = request.get_json(silent=True)
    login = str(body.get("login", "")).strip().lower()[:80] if isinstance(body, dict) else ""
    return f"{login}@{get_remote_address()}"


def session_out() -> SessionOut:
    """Who is signed in, as the page has it."""
    found = signed_in()
    demo, empty = accounts.state(workshop())
    return SessionOut(
        person=PersonOut.model_validate(found) if found else None,
        demo_available=demo and current_app.config["DEMO_SIGN_IN"] and from_this_machine(),
        set_up_needed=empty,
        csrf_token=generate_csrf(),
        space=workshop().space,  # type: ignore[arg-type]  # one of the three
        languages=list(languages()),
    )


@api.get("/session", responses={200: SessionOut}, operation_id="getSession")
@access("customer")
def get_session() -> SessionOut:
    """Who is signed in, and what the sign-in page may offer."""
    return session_out()


@api.post("/session", responses={200: SessionOut}, operation_id="signIn")
@access("public")
@limiter.limit("60 per minute")
@limiter.limit("10 per minute", key_func=_login_and_address)
def sign_in(body: SignInIn) -> SessionOut:
    """Sign in."""
    start_session(accounts.sign_in(workshop(), body.login, body.password))
    return session_out()


@api.post("/session/demo", responses={200: SessionOut}, operation_id="signInDemo")
@access("public")
def sign_in_demo() -> SessionOut:
    """Sign in to the demo: on this machine only."""
    if not (current_app.config["DEMO_SIGN_IN"] and from_this_machine()):
        raise Refused("forbidden", say("routes-demo-signs-itself-in-on"))
    start_session(accounts.sign_in_demo(workshop()))
    return session_out()


@api.delete("/session", responses={200: SessionOut}, operation_id="signOut")
@access("public")
def sign_out() -> SessionOut:
    """Sign out: the session ends on the server, whoever holds a copy of its cookie."""
    end_session()
    logout_user()
    session.clear()
    return session_out()


class OneSessionPath(BaseModel):
    session_id: uuid.UUID


def _sessions() -> SessionsOut:
    rows = accounts.my_sessions(workshop(), actor(), session_id())
    return SessionsOut(sessions=list(rows))


@api.get("/sessions", responses={200: SessionsOut}, operation_id="getSessions")
@access("member")
def get_sessions() -> SessionsOut:
    """Where one is signed in."""
    return _sessions()


@api.delete("/sessions/<session_id>", responses={200: SessionsOut}, operation_id="withdrawSession")
@access("member")
def withdraw(path: OneSessionPath) -> SessionsOut:
    """End one of one's own sessions."""
    accounts.withdraw_session(workshop(), actor(), path.session_id)
    return _sessions()


@api.post("/set-up", responses={200: SessionOut}, operation_id="setUp")
@access("public")
@limiter.limit("10 per minute")
def set_up(body: SetUpIn) -> SessionOut:
    """Make the shop and its first owner, with the code that the start command printed."""
    code = current_app.config["SET_UP_CODE"]
    if not code or not hmac.compare_digest(body.code.encode(), code.encode()):
        raise Refused("forbidden", say("routes-code-does-not-fit"), field="code")
    start_session(
        accounts.found_shop(
            workshop(),
            shop_name=body.shop_name,
            name=body.name,
            login=body.login,
            password=body.password,
            zone=body.zone,
        )
    )
    return session_out()
