"""Parsed columns as Parquet, and the min–max views that charts are drawn from."""

from __future__ import annotations

import math
import os
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

import numpy as np
import polars as pl
from numpy.typing import NDArray
from tsdownsample import MinMaxDownsampler

from vividowl.formats.log.sensor_log import TIME


@dataclass(frozen=True)
class View:
    """time_s and values (n,) of a down-sampled channel; extremes are kept."""

    time_s: NDArray[np.float64]
    values: NDArray[np.float64]


def write_columns(frame: pl.DataFrame, path: Path) -> None:
    """Write the columns as Parquet, down to the disk and for their owner alone. snappy, since an upload should not wait
    for the last per cent."""
    with open(path, "wb", opener=lambda name, how: os.open(name, how, 0o600)) as out:
        frame.write_parquet(out, compression="snappy", statistics=False)
        out.flush()
        os.fsync(out.fileno())


def read_columns(path: Path, names: Sequence[str] | None = None) -> pl.DataFrame:
    """Read all columns or the named ones."""
    return pl.read_parquet(path, columns=list(names) if names is not None else None)


def means_between(path: Path, names: Sequence[str], from_s: float, to_s: float) -> dict[str, float]:
    """Means of the named columns over a stretch of time; without those that hold nothing there."""
    if not names:
        return {}
    inside = pl.scan_parquet(path).filter(pl.col(TIME).is_between(from_s, to_s))
    means = inside.select(pl.col(name).cast(pl.Float64).fill_nan(None).mean() for name in names).collect()
    return {name: means[name][0] for name in names if means[name][0] is not None and math.isfinite(means[name][0])}


def min_max_view(
    time_s: NDArray[np.float64], values: NDArray[np.float64], *, points: int, from_s: float, to_s: float
) -> View:
    """At most ``points`` samples of a stretch, with the extremes of each part kept."""
    inside = (time_s >= from_s) & (time_s <= to_s) & np.isfinite(values)
    t, v = np.ascontiguousarray(time_s[inside]), np.ascontiguousarray(values[inside])
    points = max(4, points // 2 * 2)
    if len(v) <= points:
        return View(t, v)
    picked = MinMaxDownsampler().downsample(v, n_out=points)  # type: ignore[no-untyped-call]
    return View(t[picked], v[picked])
