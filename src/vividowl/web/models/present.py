"""Models and their exchange. Values as they are shown. No decisions here."""

from __future__ import annotations

from vividowl.service.models.known import Known
from vividowl.service.models.letters import model_classes, task_words
from vividowl.service.models.models import ModelView
from vividowl.web.bench.present import classes_out
from vividowl.web.bench.schemas import ModelPlaceOut
from vividowl.web.models.schemas import (
    KnownOut,
    LearntFoundOut,
    LearntMinutesOut,
    ModelGapOut,
    ModelOut,
    ModelStepOut,
)
from vividowl.words import sentence, told


def model_out(view: ModelView) -> ModelOut:
    """A model."""
    sheet, learnt = view.sheet, view.learnt
    letters, classes = model_classes(sheet)
    cpu, gpu = sheet.cpu_die_mm or (None, None), sheet.gpu_die_mm or (None, None)
    return ModelOut(
        id=view.id,
        version=view.version,
        maker=sheet.maker,
        model=sheet.model,
        kind=sheet.kind,
        outline=view.outline,
        source=view.source,
        jobs=view.jobs,
        places=[ModelPlaceOut(**told(p), letter=letters[p.id][0], shape=letters[p.id][1]) for p in sheet.places],
        classes=classes_out(classes),
        steps=[
            ModelStepOut(after=a, stage=x.stage, text=sentence(x.text), why=sentence(x.why))
            for x, a in zip(sheet.steps, sheet.anchors, strict=True)
        ],
        cpu_die_width_mm=cpu[0],
        cpu_die_length_mm=cpu[1],
        gpu_die_width_mm=gpu[0],
        gpu_die_length_mm=gpu[1],
        gaps=[ModelGapOut.model_validate(g) for g in sheet.gaps],
        torque_notes=sheet.torque_notes,
        notes=sheet.notes,
        learnt_jobs=learnt.jobs,
        found=[LearntFoundOut(part=sentence(p), seen=sentence(x), times=n) for p, x, n in learnt.found],
        minutes=[
            LearntMinutesOut(task=t, words=sentence(task_words(t)), hands_min=v, jobs=n)
            for t, (v, n) in learnt.minutes.items()
        ],
        before_rise_k=learnt.before_rise_k,
        after_rise_k=learnt.after_rise_k,
        interface_k_per_w=learnt.interface_k_per_w,
        total_k_per_w=learnt.total_k_per_w,
        reference=sentence(learnt.reference),
    )


def known_out(known: Known) -> KnownOut:
    """What many services tell of one model or material."""
    return KnownOut(
        words=sentence(known.words),
        kind=known.kind,
        jobs=known.jobs,
        gain_k_per_w=known.gain or None,
        minutes=known.minutes or None,
        promised=known.promised,
        kept=known.kept,
        lasts=known.lasts or None,
        looked_again=known.looked_again,
    )
