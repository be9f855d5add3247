"""Logs of frame times of a run: one at a time, kept as it came, beside the log of sensors."""

from __future__ import annotations

import uuid
from collections.abc import Sequence

from vividowl.core.trace.pace import Frames
from vividowl.service.clock import server_now
from vividowl.store.files import Received
from vividowl.store.measuring import FrameFile, Run
from vividowl.store.scope import Scope


def kept_frames(scope: Scope, run: Run | None) -> Sequence[FrameFile]:
    """Logs of frame times of a run that were not taken off, in order."""
    if run is None or run.id is None:
        return []
    query = scope.select(FrameFile).where(FrameFile.run_id == run.id, FrameFile.removed_at.is_(None))
    return scope.session.scalars(query.order_by(FrameFile.created_at)).all()


def add_frames(
    scope: Scope, run: Run, *, member_id: uuid.UUID, received: Received, file_name: str, frames: Frames
) -> None:
    """Note a log of frame times; it takes the place of the one that is there."""
    for old in kept_frames(scope, run):
        old.removed_at = server_now()
    scope.add(
        FrameFile(
            run_id=run.id,
            sha256=received.sha256,
            file_name=file_name,
            size_bytes=received.size_bytes,
            frames=frames.count,
            duration_s=frames.seconds,
            rate_per_s=frames.rate,
            slow_rate_per_s=frames.slow_rate,
            uploaded_by=member_id,
        )
    )


def frames_of_run(frame_files: Sequence[FrameFile], logged: Frames | None) -> Frames | None:
    """What is known of the frames of a run: from a log of frame times of its own, else from its log of sensors."""
    if not frame_files:
        return logged
    own = frame_files[-1]
    return Frames(own.frames, own.duration_s, own.rate_per_s, own.slow_rate_per_s)
