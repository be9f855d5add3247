"""Recordings: WAV and other open containers, any rate, one or two channels."""

from __future__ import annotations

from dataclasses import dataclass
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from vividowl.core.quantities.words import say
from vividowl.formats.errors import FormatError

BYTES_MOST = 200 * 1024 * 1024
LONGEST_S = 3600.0
CHANNELS_MOST = 8
SAMPLES_MOST = 60_000_000  # ten minutes of 48 kHz stereo; a packed file of 200 MB could hold far more


@dataclass(frozen=True)
class Recording:
    """channels: samples (n,) each, full scale 1; rate_hz; bits: as the file says, in words."""

    channels: tuple[NDArray[np.float32], ...]
    rate_hz: float
    bits: str


def write_wav(samples: NDArray[np.float32], rate_hz: float) -> bytes:
    """One channel as a WAV file of 16 bit."""
    import io

    import soundfile  # type: ignore[import-untyped]  # here, since it loads a library

    out = io.BytesIO()
    soundfile.write(out, samples, int(rate_hz), subtype="PCM_16", format="WAV")
    return out.getvalue()


def read_sound_file(path: Path, name: str) -> Recording:
    """Read a recording. Raises FormatError with the remedy."""
    import soundfile

    if path.stat().st_size == 0:
        raise FormatError(say("log-text-empty", name=name), remedy=say("sound-file-record-again"), reason="not_sound")
    try:
        with soundfile.SoundFile(str(path)) as file:
            if file.frames == 0:
                raise FormatError(say("sound-file-holds-no-sound", name=name))
            if file.channels > CHANNELS_MOST:
                raise FormatError(
                    say(
                        "sound-file-has-channels-at-most-read",
                        name=name,
                        channels=file.channels,
                        channels_most=CHANNELS_MOST,
                    )
                )
            if file.frames / file.samplerate > LONGEST_S:
                raise FormatError(say("sound-file-longer-than-hour", name=name))
            if file.frames * file.channels > SAMPLES_MOST:
                raise FormatError(
                    say(
                        "sound-file-holds-million-samples-at-most",
                        name=name,
                        channels=file.frames * file.channels / 1000000.0,
                        samples_most=SAMPLES_MOST // 1000000,
                    )
                )
            data = file.read(dtype="float32", always_2d=True)
            rate, bits = float(file.samplerate), str(file.subtype_info)
    except (soundfile.LibsndfileError, RuntimeError) as error:
        raise FormatError(
            say("sound-file-cannot-be-read-as-recording", name=name, value=str(error).split(": ")[-1].rstrip(".")),
            reason="not_sound",
        ) from error
    if not np.isfinite(data).all():
        data = np.nan_to_num(data, posinf=1.0, neginf=-1.0)
    return Recording(tuple(np.ascontiguousarray(data[:, c]) for c in range(data.shape[1])), rate, bits)
