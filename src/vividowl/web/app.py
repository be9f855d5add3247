"""The application factory."""

from __future__ import annotations

import mimetypes
from http import HTTPStatus
from pathlib import Path
from typing import Any

import structlog
from flask import Response, request, send_file, send_from_directory
from flask_compress import Compress
from flask_openapi.models.info import Info
from flask_openapi.openapi import OpenAPI
from flask_wtf.csrf import CSRFProtect
from pydantic import BaseModel
from werkzeug.exceptions import NotFound
from werkzeug.security import safe_join

from vividowl.service.shop import accounts
from vividowl.service.workshop import Workshop
from vividowl.settings import Settings
from vividowl.web import access, limits, problems
from vividowl.web.attempts import routes as attempts_api
from vividowl.web.bench import routes as bench_api
from vividowl.web.counter import routes as counter_api
from vividowl.web.customers import routes as customers_api
from vividowl.web.description import KEPT
from vividowl.web.devices import routes as devices_api
from vividowl.web.jobs import routes as jobs_api
from vividowl.web.measure import routes as runs_api
from vividowl.web.models import routes as models_api
from vividowl.web.past import routes as past_api
from vividowl.web.plan import routes as plan_api
from vividowl.web.proxy import Behind
from vividowl.web.record import keys as keys_api
from vividowl.web.record import links as links_api
from vividowl.web.record import routes as record_api
from vividowl.web.runs import routes as all_runs_api
from vividowl.web.session import routes as session_api
from vividowl.web.shelf import routes as shelf_api
from vividowl.web.shop import routes as shop_api
from vividowl.web.shop import tablets as tablets_api
from vividowl.web.workings import routes as workings_api
from vividowl.words import ENGLISH, languages

mimetypes.add_type("application/manifest+json", ".webmanifest")
SITE = Path(__file__).parent / "site"
# Longer than any page's, and shorter than what a file system takes for one name.
PATH_MOST = 200
POLICY = (
    "default-src 'self'; img-src 'self' data: blob:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; "
    "form-action 'none'"
)
# Half a year. By name only: browsers do not keep it for addresses.
STRICT = "max-age=15552000"


class Application(OpenAPI):
    """Views may return a schema, or a schema and a status."""

    def make_response(self, rv: Any) -> Response:  # noqa: ANN401
        body, *rest = rv if isinstance(rv, tuple) else (rv,)
        if isinstance(body, BaseModel):
            body = self.response_class(body.model_dump_json(by_alias=True), mimetype="application/json")
            rv = (body, *rest) if rest else body
        return super().make_response(rv)


COMPRESSED = [
    "text/html",
    "text/css",
    "text/javascript",
    "text/plain",
    "text/csv",
    "image/svg+xml",
    "application/json",
    "application/manifest+json",
    "application/problem+json",
]


def create_app(workshop: Workshop, settings: Settings) -> Application:
    """Build the application around a workshop."""
    app = Application(
        __name__,
        info=Info(title="Vivid Owl", version="1"),
        doc_ui=False,
        static_folder=None,
        validation_error_callback=problems.on_invalid,
        validation_error_model=problems.Problem,
        validate_response=settings.testing,
    )
    app.openapi_version = "3.1.0"
    app.config.update(
        SECRET_KEY=settings.secret_key,
        SESSION_COOKIE_NAME="vividowl",
        SESSION_COOKIE_HTTPONLY=True,
        SESSION_COOKIE_SAMESITE="Lax",
        SESSION_COOKIE_SECURE=settings.cookie_secure,
        PERMANENT_SESSION_LIFETIME=accounts.TABLET_IDLE_MOST,
        MAX_CONTENT_LENGTH=1024 * 1024,
        WTF_CSRF_TIME_LIMIT=None,
        WTF_CSRF_SSL_STRICT=False,
        TRUSTED_HOSTS=[*settings.hosts, *settings.public],
        PUBLIC_HOSTS=frozenset(settings.public),
        DEMO_SIGN_IN=settings.demo_sign_in,
        SET_UP_CODE=settings.set_up_code,
        LAN=settings.lan,
        TESTING=settings.testing,
        PROPAGATE_EXCEPTIONS=False,
        RATELIMIT_ENABLED=not settings.testing,
        RATELIMIT_STORAGE_URI=f"{limits.SharedCounters.STORAGE_SCHEME[0]}://",
        RATELIMIT_STORAGE_OPTIONS={"database": workshop.database},
        # Text alone: what is packed already only costs time. A tablet at the far end of the workshop has a slow line.
        COMPRESS_MIMETYPES=COMPRESSED,
        COMPRESS_ALGORITHM=["br", "gzip"],
        COMPRESS_STREAMS=False,
    )
    app.extensions["workshop"] = workshop
    Compress(app)
    access.install(app)
    CSRFProtect(app)
    session_api.limiter.init_app(app)
    problems.install(app)
    for api in (
        session_api.api,
        shop_api.api,
        tablets_api.api,
        jobs_api.api,
        runs_api.api,
        all_runs_api.api,
        attempts_api.api,
        devices_api.api,
        plan_api.api,
        bench_api.api,
        models_api.api,
        past_api.api,
        customers_api.api,
        shelf_api.api,
        workings_api.api,
        record_api.api,
        keys_api.api,
        links_api.api,
        counter_api.api,
    ):
        app.register_api(api)
    _add_site(app)
    app.after_request(_harden)
    if settings.proxies:
        app.wsgi_app = Behind(app.wsgi_app, settings.proxies, settings.proxy_header)  # type: ignore[method-assign]
    return app


def _add_site(app: Application) -> None:
    @app.route("/api/openapi.json", endpoint="openapi_json")
    @access.access("member")
    def openapi_json() -> Response:
        return send_file(KEPT, mimetype="application/json")

    @app.route("/api/health", endpoint="health")
    @access.access("public")
    def health() -> tuple[dict[str, Any], int]:
        workshop: Workshop = app.extensions["workshop"]
        ready = workshop.database.answers()
        found = {
            "status": "ok" if ready else "degraded",
            "live": True,
            "ready": ready,
            "database": "ok" if ready else "away",
            "space": workshop.space,
        }
        return found, 200 if ready else 503

    @app.route("/robots.txt", endpoint="robots")
    @access.access("customer")
    def robots() -> Response:
        return Response("User-agent: *\nDisallow: /\n", mimetype="text/plain")

    @app.route("/check", endpoint="check")
    @access.access("customer")
    def check() -> Response:
        return _customer_page(_asked_language())

    @app.route("/r/<token>", endpoint="linked")
    @app.route("/q/<token>", endpoint="quoted")
    @access.access("customer")
    def linked(token: str) -> Response:
        asked = links_api.language_of(token) if request.endpoint == "linked" else counter_api.language_of(token)
        return _customer_page(asked or _asked_language())

    @app.route("/", endpoint="home", defaults={"path": ""})
    @app.route("/<path:path>", endpoint="site")
    @access.access("customer")
    def site(path: str) -> Response:
        if path.startswith("api/") or len(path) > PATH_MOST or not path.isprintable():
            raise NotFound
        inside = safe_join(str(SITE), path)
        if inside is not None and Path(inside).is_file():
            response = _packed(path) or _whole(send_from_directory(SITE, path))
            if path.startswith("assets/"):
                response.headers["Cache-Control"] = "public, max-age=31536000, immutable"
                response.vary.discard("Cookie")
            else:
                response.headers["Cache-Control"] = "no-cache"
            return response
        if inside is None or path.startswith("assets/") or access.for_customers():
            raise NotFound
        response = _whole(send_from_directory(SITE, "index.html"))
        response.headers["Cache-Control"] = "no-cache"
        return response


def _customer_page(language: str) -> Response:
    """A page for customers, in a language. Robots stay out, and where it was opened from is told to no one."""
    response = _whole(send_from_directory(SITE, f"customer-{language}.html"))
    response.headers["Cache-Control"] = "no-cache"
    response.headers["X-Robots-Tag"] = "noindex, nofollow"
    response.headers["Referrer-Policy"] = "no-referrer"
    return response


def _asked_language() -> str:
    """The language that a browser asks for, where there are words in it."""
    wanted = request.args.get("lang", "")
    known = languages()
    return wanted if wanted in known else request.accept_languages.best_match(known) or ENGLISH


def _packed(path: str) -> Response | None:
    """A text of the site as the build has packed it, where there is one and the browser takes it."""
    if not request.accept_encodings["br"] or not (SITE / f"{path}.br").is_file():
        return None
    response = send_from_directory(SITE, f"{path}.br", mimetype=mimetypes.guess_type(path)[0])
    response.headers["Content-Encoding"] = "br"
    response.vary.add("Accept-Encoding")
    return response


def _whole(response: Response) -> Response:
    """A text of the site in one piece, so that it can be packed; all else goes out as it lies on the disk."""
    if response.mimetype in COMPRESSED and response.status_code == HTTPStatus.OK:
        response.direct_passthrough = False
        text = response.get_data()
        response.close()  # the file
        response.set_data(text)
    return response


def _harden(response: Response) -> Response:
    response.headers.setdefault("Content-Security-Policy", POLICY)
    response.headers.setdefault("X-Content-Type-Options", "nosniff")
    response.headers.setdefault("X-Frame-Options", "DENY")
    response.headers.setdefault("Referrer-Policy", "same-origin")
    response.headers.setdefault("Cross-Origin-Opener-Policy", "same-origin")
    if request.is_secure:
        response.headers.setdefault("Strict-Transport-Security", STRICT)
    if request.path.startswith("/api/"):
        response.headers.setdefault("Cache-Control", "no-store")
    structlog.get_logger().debug("request", method=request.method, path=request.path, status=response.status_code)
    return response
