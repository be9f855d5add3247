"""Values of the use cases as schemas. No decisions here."""

from __future__ import annotations

from typing import Any

from vividowl.service.jobs.handover import Record
from vividowl.service.jobs.intake import JobView
from vividowl.service.measure.comparing import Compared
from vividowl.service.measure.runs import RunView
from vividowl.service.measure.sounds import SoundView
from vividowl.web import schemas as s


def job_out(view: JobView) -> s.JobOut:
    """A job."""
    job = view.job
    own = {n: getattr(job, n) for n in s.JobOut.model_fields if hasattr(job, n)}
    return s.JobOut(
        **own,
        customer_name=job.customer.name,
        customer_contact=job.customer.contact,
        stage=view.stage,
        next_step=view.next_step,
        reachable=list(view.reachable),
        done=list(view.done),
        gates=[s.GateOut.model_validate(g) for g in view.gates],
        glance_before=s.GlanceOut.model_validate(view.glance_before),
        glance_after=s.GlanceOut.model_validate(view.glance_after),
        verdict=view.verdict,
    )


def reading_out(reading: Any) -> s.ReadingOut:  # noqa: ANN401
    """A reading, flat."""
    return s.ReadingOut(
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
        phases=[s.PhaseOut(chip=p.chip.value, from_s=p.from_s, to_s=p.to_s) for p in reading.phases],
        cool_from_s=reading.cool_down.from_s if reading.cool_down else None,
        cool_to_s=reading.cool_down.to_s if reading.cool_down else None,
        network=[s.TermOut.model_validate(t) for t in (reading.response.terms if reading.response else ())],
        throttle_share=reading.throttling.share,
        throttle_spans=[s.SpanOut(from_s=a, to_s=b) for a, b in reading.throttling.spans_s],
        stats={role.value: s.StatisticsOut.model_validate(v) for role, v in reading.stats.items()},
        power_w=s.StatisticsOut.model_validate(reading.power) if reading.power else None,
    )


def run_out(view: RunView) -> s.RunOut:
    """A run with what was read from it."""
    own = {n: getattr(view.run, n) for n in (*s.RunIn.model_fields,) if n != "version"}
    return s.RunOut(
        **own,
        side=view.side,
        version=view.version,
        prefilled=view.prefilled,
        trace=s.TraceOut.model_validate(view.trace) if view.trace else None,
        noise=[s.NoiseOut.model_validate(r) for r in view.noise],
        spots=[s.SpotOut.model_validate(r) for r in view.spots],
        noise_figure=s.NoiseFigureOut.model_validate(view.noise_figure) if view.noise_figure else None,
        reading=reading_out(view.reading) if view.reading else None,
        findings=list(view.findings),
        ladder=s.LadderOut.model_validate(view.ladder) if view.ladder else None,
        culprit=view.culprit,
        trouble=view.trouble,
        repeats=[s.RepeatOut.model_validate(r) for r in view.repeats],
        sounds=[sound_out(x) for x in view.sounds],
        air=s.AirOut.model_validate(view.air) if view.air else None,
    )


def sound_out(view: SoundView) -> s.SoundOut:
    """A recording."""
    own = {n: getattr(view, n) for n in s.SoundOut.model_fields if hasattr(view, n) and n not in ("tones", "bands")}
    return s.SoundOut(
        **own,
        tones=[s.ToneOut.model_validate(t) for t in view.tones],
        bands=[s.BandOut(centre_hz=f, level_db=level) for f, level in view.bands],
        fan_rpm=view.fan.rpm if view.fan else None,
        blade_pass_hz=view.fan.blade_pass_hz if view.fan else None,
        whines_hz=[t.frequency_hz for t in view.whines],
    )


def verdict_out(compared: Compared) -> s.VerdictOut:
    """A verdict with all that is drawn beside it."""
    c = compared.comparison
    return s.VerdictOut(
        verdict=c.verdict.value,
        headline=c.headline,
        assumes=list(c.assumes),
        hidden_gain_k=c.hidden_gain_k,
        showable_k=c.showable_k,
        reasons=list(c.reasons),
        notes=list(compared.notes),
        exhaust=compared.exhaust.text if compared.exhaust else None,
        exhaust_explained=compared.exhaust.explained if compared.exhaust else None,
        effects=[s.EffectOut.model_validate(e) for e in c.effects],
        conditions=[s.ConditionOut.model_validate(x) for x in c.conditions],
        before_ladder=s.LadderOut.model_validate(compared.before_ladder) if compared.before_ladder else None,
        after_ladder=s.LadderOut.model_validate(compared.after_ladder) if compared.after_ladder else None,
        culprit=compared.culprit,
        before_reading=reading_out(compared.before_reading),
        after_reading=reading_out(compared.after_reading),
    )


def record_out(record: Record) -> s.RecordOut:
    """The customer's record."""
    return s.RecordOut(
        job=job_out(record.view),
        shop_name=record.shop.name,
        currency=record.shop.currency,
        items=[s.FitItemOut.model_validate(i) for i in record.items],
        bench=list(record.bench.lines),
        before_photo=record.bench.before_photo,
        after_photo=record.bench.after_photo,
        verdict=verdict_out(record.compared) if record.compared else None,
        planned_cents=record.planned_cents,
        proposed_service_on=record.proposal.on,
        proposed_service_reason=record.proposal.reason,
        held_again_on=record.proposal.by_drift,
    )
