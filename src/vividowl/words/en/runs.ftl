### runs

groups-none = There is no group.
    .remedy = { groups-give-two }
groups-one-only = There is one group only.
    .remedy = { groups-give-two }
groups-give-two = Give two or more.
groups-empty = “{ $name }” has no run.
    .remedy = Add a run to the group, or leave the group out.
groups-no-number = “{ $name }” holds a value that is no number.
    .remedy = Correct the value, or leave that run out.
groups-uncertainty-for-some = “{ $name }” states an uncertainty for some of its runs only.
    .remedy = Enter the uncertainty of each run, or of none.
groups-uncertainty-not-above = “{ $name }” states an uncertainty that is not above 0.
    .remedy = Give the standard uncertainty of each run (k = 1), or none at all.
groups-no-repeat = No run was repeated and none states an uncertainty: what the scatter is, is not known.
groups-repeats-equal = All repeats are equal: the scatter is below the step of the sensor, and how far is not known.
rank-too-many = There are { $groups } groups, up to { $most } are ranked.
    .remedy = Rank fewer groups at once.
rank-name-twice = Two groups have the same name.
    .remedy = Give each group a name of its own.
repeats-from-runs-under-same-conditions = It is the standard deviation of runs under the same conditions.
repeats-too-many = It would take { $runs } runs on each side, allowed are { $most }.
    .remedy = Ask for a larger difference, or make the runs scatter less.
line-lengths-differ = The columns are not of one length.
    .remedy = Fill the missing cells, or leave those rows out.
line-one-place = All runs stand at the same place.
    .remedy = Give one at another place.
drift-months-go-back = At visit { $number } the months go back, from { SIG($one) } to { SIG($other) }.
    .remedy = Put the visits in their order, counted from the first.
drift-one-month = All visits are of one month.
    .remedy = A later visit tells a drift.
drift-scatter-not-known = Two visits without an uncertainty tell no scatter: whether it drifts is not known.
drift-none-shown = No drift is shown.
drift-not-straight = The visits do not lie on one straight line, so that no rate is told.
drift-past-limit = The limit has been passed already.
drift-away-from-limit = It moves away from the limit, or was beyond it from the first visit.
drift-far-away = At this rate the limit is more than a hundred years away.
burn-in-count-falls = At run { $number } the count falls, from { SIG($one) } to { SIG($other) }.
    .remedy = Count cycles, hours or days since fitting; a new fitting begins a new table.
burn-in-too-few = There are { $runs } runs, at least { $least } tell a burn-in.
    .remedy = { burn-in-run-more }
burn-in-run-more = Run it again after more cycles.
burn-in-one-count = All runs are at the same count.
    .remedy = { burn-in-run-more }
burn-in-no-change = No change from run to run is shown.
burn-in-end-not-known = It still changes, and the runs do not say yet where it ends.
design-count = There are { $count } factors, allowed are 1 to { $most }.
    .remedy = Choose fewer factors.
design-name-twice = Two factors have the same name.
    .remedy = Give each factor a name of its own.
design-one-level = “{ $name }” was “{ $level }” in every run.
    .remedy = Run it with another “{ $name }”, or leave the factor out.
design-too-many-cells = The levels make { $count } combinations, up to { $most } are told apart.
    .remedy = Choose fewer factors, or fewer levels of one.
design-no-half = There is no half of { $names }: it needs three factors or more, of two levels each.
    .remedy = Take all combinations, or one at a time.
factors-one-run = There is one run only.
    .remedy = Run it with other settings.
factors-taken-to-do-nothing = Taken for granted: { $pairs } do nothing, since they stand in one number with it.
factors-changed-together = { $names } were always changed together. This run would tell: { $run }.
factors-not-told-apart = { $names } are not told apart by these runs.
factors-level = { $name } = { $level }
factors-pair-needs-run = What { $term } do together was not run. This run would tell: { $run }.
factors-pair-needs-more = What { $term } do together takes more than one further run to tell.
run-table-not-text = The file is not UTF-8 text.
    .remedy = { run-table-save-as-csv }
run-table-save-as-csv = Save it as CSV in UTF-8, with a header and one line a run.
run-table-no-csv = The file is no CSV: { $error }.
    .remedy = { run-table-save-as-csv }
run-table-empty = The file holds no run.
    .remedy = { run-table-save-as-csv }
run-table-too-long = The file has { $lines } lines, up to { $most } are read.
    .remedy = { run-table-save-as-csv }
run-table-too-large = The file has { SIG($size_mb, 3) } MB, up to { SIG($most_mb, 3) } MB are read.
    .remedy = { run-table-save-as-csv }
run-table-cells = Line { $line } has { $cells } cells, the header has { $headers }.
    .remedy = Correct the line; a text with a separator in it stands in quotation marks.
run-table-header-twice = Two columns are called “{ $name }”.
    .remedy = Give each column a name of its own.
run-table-no-column = There is no column “{ $name }”.
    .remedy = Columns: { $names }.
run-table-no-number = Line { $line }, { $name }: “{ $text }” is no number.
    .remedy = Write a plain number, without a unit.
run-table-no-level = Line { $line } has nothing under { $name }.
    .remedy = Name what it was, or leave the line out.
run-table-no-uncertainty = Line { $line } has no uncertainty under { $name }.
    .remedy = Give it for every run, or leave the column out.
tables-factor-is-value = “{ $name }” is both a factor and the value.
    .remedy = Choose another column as the value.
all-runs-too-many = This job has { $most } runs, which is the limit.
    .remedy = Take some off first.
all-runs-no-such-run = There is no such run on this job.
    .remedy = { runs-reload-page }
all-runs-no-such-state = There is no such state of this device.
    .remedy = { runs-reload-page }
all-runs-same-twice = A run is not compared with itself.
    .remedy = Choose another run.
all-runs-has-no-log =
    { $name ->
        [none] One of the two runs has no log yet.
       *[other] The run “{ $name }” has no log yet.
    }
    .remedy = Open it and drop its log.
devices-serial-known = Serial number { $serial } is that of a { $maker } { $model } that has been here.
    .remedy = Choose it as the same device, or say that it is another one.
ranked-as-found = as it came in
ranked-across-itself = That factor is ranked, or varied, already.
    .remedy = Choose another one across.
ranked-one-level =
    { $level ->
        [none] No run says what it is to be ranked by.
       *[other] There is one group only: { $level }.
    }
    .remedy = Add a run of another, or note on the runs which they are.
planned-mixed = the effect of { $factor } comes mixed with { $pairs }
planned-twice = One change is named twice.
    .remedy = Name each once, with all its levels.
planned-one-level = { $factor } has one level only.
    .remedy = Name two levels or more, the first as it is now.
planned-too-many = All combinations would be { $cells } runs; at most { $most } can be planned.
    .remedy = Leave a factor out, or name fewer levels.
ranked-group-without = No run of one of the groups has this figure.
    .remedy = Pick another figure, or other runs.
devices-with-itself = A device is not put together with itself.
    .remedy = Choose another device.
devices-two-serials = They carry different serial numbers, { $one } and { $other }, so they are two devices.
    .remedy = Correct the serial number first if one of them is wrong.
devices-no-such-visit = There is no such visit of this device.
    .remedy = { runs-reload-page }
devices-only-visit = This is the only visit of the device.
    .remedy = There is nothing to take apart.
devices-taken-back-already = That has been taken back already.
    .remedy = { runs-reload-page }
history-no-after = No visit has an After reading yet, so nothing tells how it changes.
history-no-later = No visit since the last service has a Before reading, so nothing tells how it changes.
    .remedy = Take a Before reading at the next visit.
history-one-speed = All visits are brought to the fan speed of that service, { FIX($rpm, 0) } rpm: a faster fan hides what an interface has lost. { FIX($air, 2) } of the resistance are taken as the fan's part, from memory.
history-hot = { $sensor } { FIX($over, 0) } K over its limit
history-no-loss = No loss is shown since the last service.
history-unlike = Later visits were run on other terms, or with the fan clearly slower, so that nothing tells a loss.
history-lost = It has lost { FIX($share, 0) } % since the last service; from { FIX($limit_share, 0) } % on a device is not fine.
history-some-loss = It has lost { FIX($share, 0) } % since the last service.
history-little-loss = It has lost { FIX($share, 0) } % since the last service, which is little.
history-gained = It does better by { FIX($share, 0) } % than after the last service.
history-held-again =
    At this rate heat holds it back again in { FIX($months, 0) } months, between { FIX($low, 0) } and { $high ->
        [none] more than can be told
       *[other] { FIX($high, 0) }
    }.
lasting-values = the values
matched-one-setting = To hold one of noise and temperature, two groups need runs at two fan settings or more, each with its noise.
    .remedy = Run each at another fan setting, and read its noise at the same place.
matched-do-not-meet = The runs of the groups do not meet: no temperature, or no noise, lies within those of two.
    .remedy = Run them at further fan settings, so that their ranges overlap.
all-runs-earlier = { $side ->
        [before] Earlier Before
       *[after] Earlier After
    }
devices-no-limit-of = There is no limit of “{ $role }” to note.
    .remedy = { allowed }
design-level-unlisted = Column { $name } also has the level “{ $level }”.
    .remedy = Add it to --levels.
burn-in-shape = It goes on otherwise than one approach does, so that nothing tells where it ends: two speeds, a slow power law or a film that pumps out look like this. Run { FIX($more, 0) } more and judge again.
drift-bends = The visits lie on a bend: it { $quicker ->
    [yes] goes faster and faster
   *[no] slows down or turns
}. The slope is that of a straight line through all of them.
