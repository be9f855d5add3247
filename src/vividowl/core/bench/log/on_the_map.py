"""Commands about places of the map and what is left over: what the rules of today refuse of them."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from vividowl.core.bench.fasteners import PAD, PLACES_MOST, PLUG, SCREW, Place, classes_of, letter_of
from vividowl.core.bench.log.events import BenchCommand, BenchRefused, said
from vividowl.core.bench.log.guard import guard
from vividowl.core.bench.log.made import acts_of_place
from vividowl.core.bench.log.state import BenchState, place_words
from vividowl.core.bench.log.stored import place_from
from vividowl.core.quantities.words import say


def _place(s: BenchState, name: str) -> Place:
    if name not in s.places:
        raise BenchRefused(say("decide-there-no-such-place-on"), reason="missing", field="place")
    return s.places[name]


def _place_added(s: BenchState, c: BenchCommand) -> None:
    place = place_from(c.data["place"])
    if place.id in s.places:
        raise BenchRefused(say("decide-this-place-on-map-already"), reason="done_already", field="place")
    if len(s.places) >= PLACES_MOST:
        raise BenchRefused(
            say("decide-map-holds-up-to-places", places_most=PLACES_MOST), reason="invalid", field="place"
        )


def _place_changed(s: BenchState, c: BenchCommand) -> None:
    place = place_from(c.data["place"])
    old = _place(s, place.id)
    if place.id in s.out and (old.kind, old.holds) != (place.kind, place.holds):
        raise BenchRefused(
            say("decide-out-what-cannot-be-changed", places=place_words(old, s.places)), reason="out", field="place"
        )


def _place_removed(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    if place.id in s.out:
        raise BenchRefused(
            say("decide-out-cannot-be-wiped-off", places=place_words(place, s.places)), reason="out", field="place"
        )


def _place_out(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    if place.kind == PAD:
        raise BenchRefused(
            say("decide-pad-is-laid-by-its-step", places=place_words(place, s.places)), reason="invalid", field="place"
        )
    if place.id in s.out:
        raise BenchRefused(
            say("decide-out-already", places=place_words(place, s.places)), reason="done_already", field="place"
        )
    guard(s, c, acts_of_place(place, s, out=True))


def _place_in(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    if place.id not in s.out:
        raise BenchRefused(
            say("decide-in-already", places=place_words(place, s.places)), reason="done_already", field="place"
        )
    letter, taken = letter_of(place, classes_of(list(s.places.values()))), c.data.get("letter")
    if taken and place.kind == SCREW and taken != letter:
        raise BenchRefused(
            say("decide-this-place-takes-screw-not", letter=letter, taken=taken), reason="wrong_screw", field="letter"
        )
    guard(s, c, acts_of_place(place, s, out=False))


def _leftover(_: BenchState, c: BenchCommand) -> None:
    count = c.data["count"]
    if not 0 <= count <= PLACES_MOST:
        raise BenchRefused(
            say("decide-screws-left-over-allowed-to", count=count, places_most=PLACES_MOST),
            reason="invalid",
            field="count",
        )


def _explained(s: BenchState, c: BenchCommand) -> None:
    place = _place(s, c.data["place"])
    said(c.data["words"], say("decide-reason"), say("decide-thread-torn-told-owner"))
    if place.kind == PLUG:
        raise BenchRefused(
            say("decide-unplugged-plug-not-explained-away", places=place_words(place, s.places)),
            reason="plug_open",
            field="place",
        )
    if place.id not in s.out:
        raise BenchRefused(
            say("decide-in-there-nothing-to-explain", places=place_words(place, s.places)),
            reason="done_already",
            field="place",
        )


ON_THE_MAP: Mapping[str, Callable[[BenchState, BenchCommand], None]] = {
    "place_added": _place_added,
    "place_changed": _place_changed,
    "place_removed": _place_removed,
    "place_out": _place_out,
    "place_in": _place_in,
    "outline": lambda _s, _c: None,
    "leftover": _leftover,
    "explained": _explained,
}
