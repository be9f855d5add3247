### page-measure

column-table-no-role = no role
column-table-set-by-hand = set by hand
column-table-please-check = please check
column-table-column-in-file = Column in the file
column-table-unit = Unit
column-table-understood-as = Understood as
column-table-how-sure = How sure
column-table-role = Role of { $header }
column-table-text-kept = text, kept
conditions-form-how-was-run = Test conditions
conditions-form-room = Room
conditions-form-duration = Duration
conditions-form-load = Load
conditions-form-program-scene-or-benchmark = Program, scene or benchmark, so that After can repeat it
conditions-form-fan-setting = Fan setting
conditions-form-power-profile = Power profile
conditions-form-placement = Placement
conditions-form-stand-lap-dock-lid = Stand, lap, dock; lid open or closed; cloth, mat, cover
conditions-form-places-offered = Usual places
conditions-form-start = Start
conditions-form-cold = Cold
conditions-form-warm = Warm
conditions-form-firmware = Firmware
conditions-form-tuning = Tuning
conditions-form-undervolt-cap-driver = Undervolt, cap, driver
conditions-form-fan-blades = Fan blades
conditions-form-one-fan-gives-its = Of one fan; gives its speed from a recording
conditions-form-what-scored = What it scored
conditions-form-score = Score
conditions-form-took = Run time
conditions-form-frame-rate = Frame rate
conditions-form-not-saved-yet-kept = Not saved yet; kept in this browser.
log-panel-log-fewer-sensors-or = Log fewer sensors or a longer interval, or cut the file.
log-panel-now-for-this-logger = “{ $header }” is now { $role }, for this logger from now on.
log-panel-figures-come-from-stretch = The figures come from the stretch that was found.
log-panel-figures-come-from-your = The figures come from your stretch.
log-panel-was-taken-off = { $name } was taken off.
log-panel-figures-come-from-stretch-2 = The figures come from a stretch set by hand.
log-panel-back-to-one-found = Back to the one found
log-panel-samples-one-each-s = { $size_bytes }, { $samples } samples, one each { $interval_s } s, { $duration_s } long
log-panel-another-file = Another file
log-panel-original = Download original
log-panel-take-off = Remove
log-panel-columns-understood = { $understood } of { $count } understood
log-panel-mended-while-reading = Mended while reading: { $count }
log-panel-no-log-was-taken = No log was taken.
log-panel-drop-log-here =
    Drop the { $before ->
        [yes] Before
       *[no] After
    } log here
log-panel-csv-or-text-with = CSV or text with a header, workbook, JSON lines or Parquet, up to 200 MB; or press Enter to choose a file
log-panel-keep-present-file = Keep the present file
measure-go-on-to = Go on to { $next_name }
measure-before-how-hot-does = Before: how hot does it come in?
measure-after-same-recipe-again = After: the same recipe again
measure-before-recipe-filled-in = The Before recipe is filled in.
measure-change-only-what-really = Change only what really was different. Note the room, and where it stands.
noise-panel-type-level-meter-shows = Type the level the meter shows.
noise-panel-background = background { $background_db }
noise-panel-noise-by-meter = Noise by meter
noise-panel-mean-by-energy-background =
    mean by energy of { $readings }, background taken out{ $upper_bound ->
        [yes] ; an upper bound, the room is too loud
       *[no] { "" }
    }
noise-panel-noise-reading-was-taken = The noise reading was taken off.
noise-panel-level = Level
noise-panel-background-2 = Background
noise-panel-place = Place
noise-panel-distance = Distance
noise-panel-add-reading = Add the reading
reading-list-take-off-reading = Remove the reading of { $row } { $unit }
refused-log-this-column = This column
refused-log-choose-column = choose a column
refused-log-holds = holds the
refused-log-read-again-like-this = Read it again like this
refused-log-to-all-runs = To All runs
refused-log-use-here-as-well = Use it here as well
refused-log-send-again = Send { $name } again
refused-log-choose-another-file = Choose another file
repeats-repeats-this-run = { $count }
repeats-same-recipe-once-more = The same recipe once more, after a rest. With repeats the verdict takes the scatter from run to run from them and no longer from a usual value.
repeats-log = Log
repeats-die-c = die, °C
repeats-power-w = power, W
repeats-settled = settled
repeats-take-off = take off
repeats-take-off-2 = Take { $file_name } off
repeats-drop-log-repeat-here = Drop the log of a repeat here
frame-times-none = none
frame-times-rate =
    { FIX($rate, 1) } frames a second{ $slow ->
        [none] {""}
       *[other] , the slow one per cent { FIX($slow, 1) }
    }
frame-times-what = A log with a line a frame and its time in milliseconds, of the same scene. The slow one per cent is the mean of the longest hundredth of the frames; it says more of stutter than the mean rate.
frame-times-frames = { $n } frames in { $time }
frame-times-drop = Drop a log of frame times here
repeats-or-press-enter-to = or press Enter to choose a file
run-clock-start-clock = Start a clock
run-clock-next-load = Next load
sending-stop = Stop
sound-card-reference-db = , the reference of { $reference_db } dB
sound-card-room-alone = , the room alone
sound-card-mean-level-l = mean level, L
sound-card-aeq = Aeq
sound-card-highest-l = highest, L
sound-card-afmax = AFmax
sound-card-tenth-time-above = a tenth of the time above
sound-card-nine-tenths-above = nine tenths above
sound-card-fan-at-rpm-from = Fan at { $fan_rpm } rpm, from { $blade_pass_hz } and { $blades } blades.
sound-card-note-blades-fan-with = Note the blades of the fan with the conditions, and the fan speed is read from the sound.
sound-card-no-blade-tone-stands = The fan speed is not known from this recording. Record once more at another fan speed, from the same place.
sound-card-moves-with-fan = Not only the blades change with the fan speed: { $hz }. A bearing, the motor, or something rubs. Unplug the fan and spin it by hand.
sound-card-at =
    { $count ->
        [one] A tone
       *[other] Tones
    } at { $prominence_db }.
sound-card-whine-at-bearing-or = Whine at { $hz }: a bearing or a coil; paste will not cure it.
sound-panel-type-level-meter-or = Type the level the meter or the calibrator shows, then drop the recording.
sound-panel-cut-to-loaded-part = Cut it to the loaded part; ten seconds are enough.
sound-panel-noise-recorded = Noise recordings
sound-panel-no-recording-was-made = No recording was made.
sound-panel-drop-recording-here = Drop a recording here
sound-panel-wav-same-phone-at = WAV; the same phone at the same place in both runs
sound-panel-room-alone-recorded = The room alone is recorded
sound-panel-record-room-alone-too = Record the room alone, too
sound-panel-with-device-off-same = With the device off, the same phone at the same place. It is taken out of the other recordings; without it a change may be larger than it reads.
sound-panel-drop-room-alone = Drop the room alone
sound-panel-device-off-ten-seconds = device off, ten seconds are enough
sound-panel-calibrate-by-reference = Calibrate by a reference
sound-panel-recording-with-same-phone = A recording with the same phone of a source whose level is known makes the levels absolute. Without one only the change from Before to After is firm.
sound-panel-level-reference = Reference level
sound-panel-drop-reference = Drop the reference
sound-panel-then-all-recordings-follow = then all recordings follow
spot-panel-type-temperature-in-c = Type the temperature in °C.
spot-panel-spots-under-load-by = Spots by probe, under load
spot-panel-l-s-air = { $flow } L/s of air
spot-panel-cfm-carry-w-away = ({ $cfm } CFM) carry { $power } W away at { $exhaust_rise_k } K over the room
spot-panel-spot-reading-was-taken = The spot reading was taken off.
spot-panel-spot = Spot
spot-panel-where-exactly = Where exactly
spot-panel-add-spot = Add the spot
upload-sending = Sending { $name }, { $share } %
upload-reading = Reading { $name } …
log-panel-read = { $name } is read.
sound-card-blades = blades
sound-card-whine = whine
sound-card-below-full-scale = dB below full scale
repeats-yes = yes
repeats-no = no
column-table-sure = sure
conditions-form-duration-of-the-log = { $time }, from the log
figure-strip-die = Die, end of the load
figure-strip-over-room = Over room
figure-strip-power = Power
figure-strip-throttled = Throttled
figure-strip-noise = Noise
figure-strip-room-missing = room temperature missing
figure-strip-no-flag = not in this log
figure-strip-not-measured = not measured
log-panel-what-the-log-says = What the log says ({ $count })
log-panel-file = Log file
log-panel-mended = { $count } mended
log-panel-columns = Columns
repeats-repeats = Repeats
repeats-none = none
frame-times-frames-title = Frame times
run-panels-room-missing = room temperature missing
run-panels-none = none
run-panels-recordings = { $count ->
    [one] { $count } recording
   *[other] { $count } recordings
}
measure-all-there = All there.
measure-choose-log = Choose the log
measure-missing-log = log
measure-missing-room = room temperature
measure-missing-noise = noise
measure-missing-place = where it stands
figure-strip-still-rising = still rising
log-panel-this-run = this run
refused-log-leave-it = Leave it
sound-panel-marked-place = The phone lies at its mark, as on the other side
sound-panel-not-marked = Without a mark a recording tells tones and speed, but no difference in level: one step back is worth as much as a good service.
