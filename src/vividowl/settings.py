"""What the application is told of the world around it: by name in the environment, or by what starts it."""

from __future__ import annotations

import re
from pathlib import Path
from typing import Annotated

from pydantic import AfterValidator, BaseModel, BeforeValidator, Field
from pydantic_settings import BaseSettings, NoDecode, SettingsConfigDict

FORWARDED_FOR = "X-Forwarded-For"
LOOPBACK = ("127.0.0.1", "localhost")


def _in_a_row(value: object) -> object:
    return [part.strip() for part in value.split(",") if part.strip()] if isinstance(value, str) else value


def _by_our_driver(url: str) -> str:
    return re.sub(r"^postgres(ql)?://", "postgresql+psycopg://", url)


Names = Annotated[tuple[str, ...], NoDecode, BeforeValidator(_in_a_row)]


class Lan(BaseModel):
    """Where tablets of the shop's network find the application and its authority, whose fingerprint is SHA-256."""

    address: str
    authority_address: str
    fingerprint: str


class Settings(BaseSettings):
    """Each is read from VIVIDOWL_ and its name in capitals; names in a row are parted by commas.

    database_url: a PostgreSQL database; files: folder of uploads, the same for all processes; secret_key signs cookies
    and links, the same for all processes; workers: processes that serve; threads: of each; connections: to the database
    that each keeps, and three times as many at the most; address, port: where it listens, in plain HTTP.

    demo_sign_in lets the demo sign itself in; set_up_code founds the first shop; cookie_secure off is only for browsers
    that keep secure cookies from plain http on loopback; hosts: names it answers to; public: names under which
    customers reach it, where nothing else is answered; proxies: addresses of those in front of it, which name in
    proxy_header who asks.
    """

    model_config = SettingsConfigDict(env_prefix="VIVIDOWL_", frozen=True)

    database_url: Annotated[str, AfterValidator(_by_our_driver)] = ""
    files: Path | None = None
    secret_key: str
    workers: Annotated[int, Field(ge=1, le=64)] = 1
    threads: Annotated[int, Field(ge=4, le=512)] = 64
    connections: Annotated[int, Field(ge=2, le=100)] = 10
    address: str = "127.0.0.1"
    port: Annotated[int, Field(ge=0, le=65535)] = 8000
    demo_sign_in: bool = False
    set_up_code: str = ""
    hosts: Names = LOOPBACK
    cookie_secure: bool = True
    lan: Lan | None = None
    public: Names = ()
    proxies: Names = ()
    proxy_header: str = FORWARDED_FOR
    testing: bool = False
