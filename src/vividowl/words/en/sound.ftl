### sound

fan-speed-count-blades-one-fan = Count the blades of one fan.
faults-speech-or-knocks-s-were = Speech or knocks: { FIX($lost, 0) } s were left out.
faults-speech-or-knocks-run-through = Speech or knocks run through the recording, so no level follows from it. Record again in silence.
faults-level-creeps-by-db-from = The level creeps by { FIX($creep, 0) } dB from end to end, as with automatic gain or a fan that changes its speed, so no level follows from it. Switch the gain to manual and record at one speed.
levels-type-weighted-level-from-meter = Type the A-weighted level from the meter.
levels-no-noise-reading-to-combine = No noise reading to combine.
    .remedy = Take a reading.
levels-background-db-louder-than-reading = Background is { SIG($background_db) } dB, louder than the reading of { SIG($level_db) } dB.
    .remedy = Read the background again with the device off and the room as quiet as before.
recording-recording-s-long-at-least = The recording is { FIX($rate_hz, 2) } s long, at least { SIG($shortest_s) } s are needed.
    .remedy = Record ten seconds or more with the fan at its loaded speed.
recording-recording-silent-microphone-was-off = The recording is silent: the microphone was off, muted or not the one chosen. No level known.
recording-limiter-squeezed-peaks-so-no = A limiter squeezed the peaks, so no level follows. Record with less gain or from further away.
recording-reference-recording-silent = The reference recording is silent.
    .remedy = Record the reference again.
recording-side-dead-other-one-was =
    The { $left ->
        [yes] left
       *[no] right
    } side is dead; the other one was read.
recording-microphone-was-clipped-samples-sit = The microphone was clipped: { $sum } samples sit at full scale, so levels are too low. Record again with less gain or from further away.
recording-blades-do-not-fit = { $blades } blades do not fit the tones, { $fits } would: count them again.
