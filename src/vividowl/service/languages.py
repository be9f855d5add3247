"""Languages that customers can be written to in."""

from __future__ import annotations

from vividowl.core.quantities.words import listed, say
from vividowl.service.errors import Refused
from vividowl.words import languages


def require_language(language: str) -> None:
    """Refuse a language that nothing is written in."""
    if language not in languages():
        raise Refused(
            "invalid", say("intake-no-such-language", language=language, names=listed(languages())), field="language"
        )
