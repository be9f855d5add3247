"""Sentences of codes and values, in a language."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator, Mapping, Sequence
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import fields, is_dataclass
from datetime import date, datetime
from functools import cache
from importlib.resources import files
from numbers import Integral
from threading import Lock
from typing import Any, Literal

from babel import Locale
from babel.dates import format_date
from babel.lists import format_list
from fluent.runtime import FluentBundle, FluentResource
from fluent.runtime.types import fluent_number

from vividowl.core.quantities.words import Message, Several, Value, Words

ENGLISH = "en"
# What the shop's own English is written in; any other language by its own rules.
_REGION = {ENGLISH: "en_GB"}
_SPOKEN: ContextVar[str] = ContextVar("spoken", default=ENGLISH)
_UNIT_OF_NAME = re.compile(r"_(c|k|w|s|h|g|mm|mm2|um|cm2|m|db|mv|min|percent|k_w|g_ml|um_h|a_dm2|months)$")
_BUNDLES: dict[str, FluentBundle] = {}
_READING = Lock()
_BETWEEN = {"comma": ", ", "semicolon": "; ", "space": " ", "none": ""}


class NoSuchMessage(LookupError):  # noqa: N818
    """A code that no message file has: a fault of the program, which the checks find before a reader does."""


@contextmanager
def spoken(language: str) -> Iterator[None]:
    """Let all sentences inside the block be made in a language: what leaves the house for a customer."""
    held = _SPOKEN.set(language)
    try:
        yield
    finally:
        _SPOKEN.reset(held)


@cache
def languages() -> tuple[str, ...]:
    """Languages that there are message files in, English first."""
    folders = (f.name for f in files("vividowl.words").iterdir() if f.is_dir() and f.joinpath("names.ftl").is_file())
    return (ENGLISH, *sorted(name for name in folders if name != ENGLISH))


def locale() -> Locale:
    """How numbers, days and prices are written in the language that is spoken."""
    return _locale(_SPOKEN.get())


@cache
def _locale(language: str) -> Locale:
    return Locale.parse(_REGION.get(language, language))


def sentence(words: Words) -> str:
    """The sentence of a code in the language that is spoken, or the text itself where it is somebody's own."""
    language = _SPOKEN.get()
    try:
        return sentence_from(_bundle(language), words)
    except NoSuchMessage:
        if language == ENGLISH:
            raise
        return in_english(words)


def in_english(words: Words) -> str:
    """What is not told in a language is told in English: better than nothing, and a fault that the checks look for."""
    return sentence_from(_bundle(ENGLISH), words)


def sentence_from(bundle: FluentBundle, words: Words) -> str:
    """The same from the messages of a bundle."""
    if isinstance(words, str):
        return str(words)
    if isinstance(words, Several):
        return _listed(bundle, words)
    name, _, attribute = words.code.partition(".")
    message = bundle.get_message(name) if bundle.has_message(name) else None
    pattern = None if message is None else message.attributes.get(attribute) if attribute else message.value
    if pattern is None and message is not None and attribute == "remedy":
        return ""  # nothing can be done about it
    if pattern is None:
        raise NoSuchMessage(words.code)
    text, errors = bundle.format_pattern(pattern, {n: _argument(bundle, v) for n, v in words.values})
    if errors:
        raise errors[0]
    return str(text)


def sources(language: str = ENGLISH) -> Mapping[str, str]:
    """Message files by subject."""
    folder = files("vividowl.words").joinpath(language)
    return {f.name.removesuffix(".ftl"): f.read_text("utf-8") for f in folder.iterdir() if f.name.endswith(".ftl")}


def _listed(bundle: FluentBundle, words: Several) -> str:
    said = [text for i in words.items if (text := str(_argument(bundle, i)))]
    if words.by in ("and", "or"):
        style: Literal["standard", "or"] = "standard" if words.by == "and" else "or"
        return format_list(said, style=style, locale=_locale(bundle.locales[0]))
    return _BETWEEN[words.by].join(said)


def _argument(bundle: FluentBundle, value: Value) -> Any:  # noqa: ANN401 - what Fluent takes
    """A value as the message gets it: yes and no for a flag, none for what is not known."""
    if value is None:
        return "none"
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, datetime):
        return f"{value:%H:%M}"
    if isinstance(value, date):
        return format_date(value, "long", locale=_locale(bundle.locales[0]))
    if isinstance(value, str | Message | Several):
        return sentence_from(bundle, value)
    # Numbers of any library count: a whole one stays whole.
    number: Any = value
    return fluent_number(int(number) if isinstance(number, Integral) else float(number), useGrouping=False)


def _bundle(language: str) -> FluentBundle:
    # Read once, however many ask for the first sentence at the same moment: sixty who each read it stood for a minute.
    if language not in _BUNDLES:
        with _READING:
            if language not in _BUNDLES:
                # What only the page says is not read here: reading all takes most of a second of each start.
                said_here = [text for subject, text in sources(language).items() if not subject.startswith("page-")]
                _BUNDLES[language] = bundle_of(said_here, language)
    return _BUNDLES[language]


def bundle_of(texts: Sequence[str], language: str = ENGLISH) -> FluentBundle:
    """Messages with the functions that they may use."""
    decimal = _locale(language).number_symbols["latn"]["decimal"]

    def written(text: str) -> str:
        return text.replace("-", "−").replace(".", decimal)

    def fix(value: Any, digits: Any = 0, sign: Any = 0) -> str:  # noqa: ANN401 - what Fluent gives
        """A number with a fixed count of decimals, a real minus sign and, when asked for, its plus."""
        return written(f"{float(value):{'+' if sign else ''}.{int(digits)}f}")

    def sig(value: Any, digits: Any = 6, sign: Any = 0) -> str:  # noqa: ANN401
        """A number with its significant digits: no trailing zeros, no exponent where people would not write one."""
        return written(f"{float(value):{'+' if sign else ''}.{int(digits)}g}")

    def cap(text: Any) -> str:  # noqa: ANN401
        """The text with a capital at its start, the rest as it is."""
        return str(text)[:1].upper() + str(text)[1:]

    def low(text: Any) -> str:  # noqa: ANN401
        """The text with a small letter at its start, the rest as it is."""
        return str(text)[:1].lower() + str(text)[1:]

    def unit(text: Any) -> str:  # noqa: ANN401
        """A unit with the space before it, nothing where there is none."""
        return f" {text}" if str(text) else ""

    def label(name: Any) -> str:  # noqa: ANN401
        """A field as the page calls it: its message, else its name in plain words without the unit."""
        field = str(name).rpartition(".")[2]
        if bundle.has_message(f"field-{field}"):
            return sentence_from(bundle, Message(f"field-{field}"))
        return cap(_UNIT_OF_NAME.sub("", field).replace("_", " "))

    functions: dict[str, Callable[[Any], Any]] = {
        "FIX": fix,
        "SIG": sig,
        "CAP": cap,
        "LOW": low,
        "UNIT": unit,
        "LABEL": label,
    }
    bundle = FluentBundle([language], functions=functions, use_isolating=False)
    for text in texts:
        bundle.add_resource(FluentResource(text))
    return bundle


def sentences(words: Sequence[Words]) -> list[str]:
    """Several of them."""
    return [sentence(w) for w in words]


def told(value: Any) -> Any:  # noqa: ANN401 - anything that is stored or sent
    """A value with its sentences made: a dataclass becomes fields by name, whatever it holds is told as well."""
    if isinstance(value, Message | Several):
        return sentence(value)
    if is_dataclass(value) and not isinstance(value, type):
        return {f.name: told(getattr(value, f.name)) for f in fields(value)}
    if isinstance(value, Mapping):
        return {k: told(v) for k, v in value.items()}
    if isinstance(value, list | tuple):
        return [told(v) for v in value] if isinstance(value, list) else tuple(told(v) for v in value)
    return value
