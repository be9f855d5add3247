"""Runs of a job: logs, recordings, spots, views. Values as they are shown. No decisions here."""

from __future__ import annotations

from vividowl.core.reading.reading import Reading
from vividowl.core.sound.spectrum import Band
from vividowl.service.measure.runs import RunView
from vividowl.service.measure.sounds import SoundView
from vividowl.web.measure.schemas import (
    FramesOut,
    NoiseFigureOut,
    NoiseOut,
    ReadingOut,
    RunIn,
    RunOut,
    SoundOut,
    SpanOut,
    SpotOut,
    ToneOut,
    TraceOut,
)
from vividowl.words import sentence, sentences


def reading_out(reading: Reading) -> ReadingOut:
    """A reading, flat."""
    return ReadingOut(
        die_role=reading.die_role.value,
        onset_s=reading.load.onset_s,
        boost_end_s=reading.load.boost_end_s,
        end_s=reading.load.end_s,
        load_seen=reading.load.seen,
        from_s=reading.window.from_s,
        to_s=reading.window.to_s,
        settled=reading.window.settled,
        remaining_rise_k=reading.window.remaining_rise_k,
        final_c=reading.window.final_c,
        minutes_needed=reading.window.minutes_needed,
        uncertainty_k=reading.window.uncertainty_k,
        chosen=reading.window.chosen,
        phases=list(reading.phases),
        cool_from_s=reading.cool_down.from_s if reading.cool_down else None,
        cool_to_s=reading.cool_down.to_s if reading.cool_down else None,
        network=list(reading.response.terms if reading.response else ()),
        throttle_share=reading.throttling.share,
        throttle_spans=[SpanOut(from_s=a, to_s=b) for a, b in reading.throttling.spans_s],
        stats={role.value: v for role, v in reading.stats.items()},
        power_w=reading.power or None,
    )


def run_out(view: RunView) -> RunOut:
    """A run with what was read from it."""
    own = {n: getattr(view.run, n) for n in (*RunIn.model_fields,) if n != "version"}
    return RunOut(
        **own,
        side=view.side,
        version=view.version,
        prefilled=view.prefilled,
        places_offered=list(view.places_offered),
        trace=TraceOut.model_validate(view.trace) if view.trace else None,
        noise=[NoiseOut.model_validate(r) for r in view.noise],
        spots=[SpotOut.model_validate(r) for r in view.spots],
        noise_figure=NoiseFigureOut.model_validate(view.noise_figure) if view.noise_figure else None,
        reading=reading_out(view.reading) if view.reading else None,
        findings=sentences(view.findings),
        lead=sentence(view.lead),
        ladder=view.ladder or None,
        culprit=view.culprit,
        trouble=sentence(view.trouble) if view.trouble is not None else None,
        repeats=list(view.repeats),
        sounds=[sound_out(x) for x in view.sounds],
        air=view.air or None,
        frames=[FramesOut.model_validate(x) for x in view.frames],
        headline=view.headline,
    )


def sound_out(view: SoundView) -> SoundOut:
    """A recording."""
    own = {n: getattr(view, n) for n in SoundOut.model_fields if hasattr(view, n) and n not in ("tones", "bands")}
    return SoundOut(
        **own,
        tones=[ToneOut.model_validate(t) for t in view.tones],
        bands=[Band(centre_hz=f, level_db=level) for f, level in view.bands],
        fan_rpm=view.fan.rpm if view.fan else None,
        blade_pass_hz=view.fan.blade_pass_hz if view.fan else None,
        whines_hz=[t.frequency_hz for t in view.whines],
    )
