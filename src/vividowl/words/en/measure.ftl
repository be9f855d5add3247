### measure

comparing-phase-change-interface-was-fitted = A phase-change interface was fitted: it settles over its first hours of heat cycles. If this After was taken in the first 40 minutes, repeat it before you judge.
files-there-no-such-file = { $path }: there is no such file.
    .remedy = Check the path.
files-larger-than-mb = { $name } is larger than { $most } MB.
    .remedy = Log fewer sensors or cut it.
files-no-condition = “{ $unknown }” is no condition.
    .remedy = { allowed }
files-calibration-needs-both-reference-recording = A calibration needs both the reference recording and its level.
    .remedy = Give --reference and --reference-db together, or neither.
log-reading-columns-as-they-were-set = Columns as they were set for this logger before.
logs-log-fewer-sensors-or-longer = Log fewer sensors or a longer interval.
logs-there-no-log-on-this = There is no { $capitalize } log on this job.
    .remedy = Drop one on the page.
logs-there-no-channel-to-chart = There is no channel “{ $channel }” to chart in this log.
    .remedy = Choose one of the list.
logs-there-no-log-yet-that = There is no log yet that this could repeat.
    .remedy = Drop it as the log of the run.
logs-this-job-has-no-before = This job has no Before log, so an After has nothing to be compared with.
    .remedy = Drop the Before log first. What you typed here is kept.
logs-log-that-already-here = { $name } is the log that is already here.
    .remedy = Choose the other file, if there is one.
logs-very-file-of-run =
    { $name } is the very file of { $run ->
        [none] a further run
       *[other] the run “{ $run }”
    } of this job.
    .remedy =
        { $side ->
            [before] Make that run the Before in All runs
            [after] Make that run the After in All runs
           *[other] Use that run in All runs
        }, or choose another file.
logs-very-file-that-serves-as = { $name } is the very file that serves as the { $capitalize } log of this job.
    .remedy = Choose the log of the other run.
logs-already-log-job = { $name } is already the { $capitalize } log of job { $number }.
    .remedy = Check that it is the right file; use it again only if it really belongs to both.
logs-window-needs-both-its-ends = A window needs both its ends.
    .remedy = Give both, or neither.
logs-this-run-has-repeats-at = This run has { $there } repeats, at most { $repeats_most } are kept.
    .remedy = { logs-take-one-off-first }
logs-nothing-was-stored = { $file_name }: { $error } Nothing was stored.
    .remedy = Drop the file again.
logs-mapping-was-not-changed = { $error } The mapping was not changed.
logs-take-one-off-first = Take one off first.
recordings-cut-to-loaded-part-ten = Cut it to the loaded part; ten seconds are enough.
recordings-recording-either-known-level-or = A recording is either of a known level or of the room alone.
    .remedy = Leave the level out, or the mark of the room.
recordings-reference-recording-silent = { $file_name }: the reference recording is silent.
    .remedy = Record the reference again.
recordings-this-run-has-recordings-already = This run has { $recordings_most } recordings already.
    .remedy = { logs-take-one-off-first }
runs-type-reading-under-load-in = Type the reading under load in °C.
runs-count-blades-one-fan = Count the blades of one fan.
runs-conditions = The { $side } conditions
runs-leave-empty-when-there-none = Leave it empty when there is none.
runs-there-no-such-reading-on = There is no such { $what } reading on this run.
    .remedy = { runs-reload-page }
runs-reload-page = Reload the page.
verdict-there-nothing-to-compare-yet = There is nothing to compare yet: a verdict needs a Before log and an After log.
verdict-drop-missing-log-in-its = Drop the missing log in its stage.
logs-file-error = { $name }: { $error }
file-larger = The file is larger than { $most_mb } MB.
    .remedy = Log fewer sensors or a shorter time, or split the file.
file-broken-off = The upload broke off after { $size } of { $expected } bytes.
    .remedy = Send the file again.
logs-no-repeat = { $name } is no repeat of this run. { $why }
    .remedy = Add it in All runs as a run of its own; a repeat shares everything with its run.
