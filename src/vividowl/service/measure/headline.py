"""The few figures that lead the page of a run, each with its expanded uncertainty."""

from __future__ import annotations

from dataclasses import dataclass

from vividowl.core.quantities.uncertainty import Tolerances
from vividowl.core.reading.measured import Measured, by_share, die_temperature, rise
from vividowl.core.reading.reading import Reading
from vividowl.core.sound.levels import NoiseFigure
from vividowl.core.verdict.quieter import noise_level


@dataclass(frozen=True, kw_only=True)
class Headline:
    """Die [degC], rise over the room [K], power [W] and noise [dB], each with U95; None where not known."""

    die_c: float | None = None
    die_u95_k: float | None = None
    rise_k: float | None = None
    rise_u95_k: float | None = None
    power_w: float | None = None
    power_u95_w: float | None = None
    noise_db: float | None = None
    noise_u95_db: float | None = None


def headline_of(
    reading: Reading | None, room_c: float | None, noise: NoiseFigure | None, tolerances: Tolerances
) -> Headline:
    """Figures of one run by itself: what differs from run to run counts, and so does what two runs would share."""

    def both(of: Measured | None) -> tuple[float | None, float | None]:
        return (of.value, of.u95) if of else (None, None)

    die = die_temperature(reading, tolerances) if reading and not reading.die_stuck else None
    over = rise(reading, room_c, tolerances) if reading and die else None
    power = by_share(reading.power, tolerances.power_share) if reading and reading.power else None
    # A level with the background in it is an upper bound; how far below it the device is, is not known.
    level = noise_level(noise, tolerances) if noise and not noise.upper_bound else None
    (die_c, die_u), (rise_k, rise_u), (watts, watts_u), (noise_db, noise_u) = map(both, (die, over, power, level))
    return Headline(
        die_c=die_c,
        die_u95_k=die_u,
        rise_k=rise_k,
        rise_u95_k=rise_u,
        power_w=watts,
        power_u95_w=watts_u,
        noise_db=noise_db,
        noise_u95_db=noise_u,
    )
