### page-job

column-table-no-role = no role
column-table-set-by-hand = set by hand
column-table-please-check = please check
column-table-column-in-file = Column in the file
column-table-unit = Unit
column-table-understood-as = Understood as
column-table-how-sure = How sure
column-table-role = Role of { $header }
column-table-text-kept = text, kept
condition-table-condition = Condition
condition-table-before = before
condition-table-after = after
condition-table-so = so it is
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
effect-table-no-difference = no difference
effect-table-not-known = not known
effect-table-what = What
effect-table-change-u = change ± U
effect-table-shows = shows
fit-close-fit-and-go = Close the fit and go on
fit-fit-what-was-cleaned = Fit: what was cleaned, and what went where
fit-cleaned = Cleaned
fit-fitted = Fitted
fit-where = Where
fit-product = Product
fit-lot = Lot
fit-amount = Amount
fit-take-off-list = Take { $kind } off the list
fit-nothing-yet-name-each = Nothing yet. Name each place that got something new: die, memory, regulators.
fit-what-you-saw-and = What you saw and did
fit-chalk-dust-felt-pads = Chalk, dust felt, pads torn: the next visit reads it
fit-to-plan = To the plan
fit-to-intake = To the intake
fit-save-and-go-on = Save and go on to Close
fit-save-and-go-on-2 = Save and go on to After
fit-done-go-on-to = Done, go on to After
fit-open-again = Open it again
fit-work-by-step-list = Work by the step list
fit-item-form-in = in
fit-item-form-mm-thick = mm thick
fit-item-form-what-comes-from-shelf = What comes from the shelf is booked by its amount.
fit-item-form-from-shelf = From the shelf
fit-item-form-no-not-booked = No, not booked
fit-item-form-nothing-this-kind = Nothing of this kind
fit-item-form-lot = { $name }, lot { $code }
fit-item-form-add-to-list = Add to the list
gates-stopped-for-safety = Stopped for safety. { $reason }
gates-what-was-agreed-in = What was agreed, in words
gates-acknowledge = Acknowledge
hand-over-this-no-price-leave = This is no price. Leave it empty until it is known.
hand-over-handed-over-on = Handed over on { $handed_over_at }.
hand-over-what-owner-gets-proof = What the owner gets: the proof, the price, and the date to come back.
hand-over-price = Price
hand-over-next-service = Next service
hand-over-proposed-no =
    Proposed: { $proposed_service_on }, { $proposed_service_reason }{ $held_again_on ->
        [yes] . By its own drift it would throttle from { $held_again_on_2 }
       *[no] { "" }
    }
hand-over-word-to-owner = Note to customer
hand-over-record = The record
hand-over-open-record = Open the record
hand-over-record-as-pdf = Record as PDF
hand-over-take-hand-over-back = Take the hand-over back
hand-over-hand-over = Hand { $model } over
intake-save-intake-and-go = Save the intake and go on
intake-unsaved-typing-was-brought = Unsaved typing was brought back.
intake-drop = Drop it
intake-whose-and-what = Customer and device
intake-customer = Customer
intake-how-to-reach-them = How to reach them
intake-device = Device
intake-maker = Maker
intake-model = Model
intake-symptom-in-customers-words = Symptom, in the customer's words
intake-before-anyone-opens = Before anyone opens it
intake-backup-done = Backup done
intake-yes = Yes
intake-no = No
intake-warranty = Warranty
intake-running = Running
intake-over = Over
intake-tamper-seal = Tamper seal
intake-intact = Intact
intake-broken = Broken
intake-none = None
intake-battery-swollen = Battery swollen
intake-traces-liquid = Traces of liquid
intake-limits-if-known = Limits, if known
intake-processor-power = Processor power limit
intake-graphics-power = Graphics power limit
intake-shared-power = Shared power limit
intake-temperature = Temperature limit
intake-take-in = Take it in
intake-life-its-life = History
intake-life-age = Age
intake-life-since-last-service = Since the last service
intake-life-surroundings = Surroundings
intake-life-normal = Clean
intake-life-dusty = Dusty
intake-life-pets = Pets
intake-life-smoke = Smoke
intake-life-used-on = Used on
intake-life-desk = Desk
intake-life-stand = Stand
intake-life-dock = Dock
intake-life-lap = Lap
intake-life-hand = Hand
intake-life-fan = Fan
intake-life-has-one = Has one
intake-life-has-none = Has none
intake-life-where-lives = Where it is used
intake-life-lid-closed-shelf-carpet = Lid closed, shelf, carpet, in a bag
intake-life-interface-from-factory = Factory thermal material
job-room-verdict = Verdict
job-room-go-to = Go to { $name }
job-room-one-stage-back = One stage back
job-room-after = After
job-room-reading = Reading
job-room-job-cannot-be-shown = The job cannot be shown
job-room-to-bench = To the Bench
job-room-by-job = { $kind } by { $maker }, job { $number }, { $customer_name }
job-room-stopped-for-safety = Stopped for safety
job-room-handed-over = Handed over
job-room-where-heat-stops = Where the heat builds up
job-room-opening-job = Opening the job …
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
new-job-take-device-in = New job
new-job-what-customer-says-what = What the customer says, what it is, and what must be settled before anyone opens it.
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
open-items-to-settle = To settle: { $reason }
open-items-before-no-log-yet = Before: no log yet
open-items-before-room-not-noted = Before: the room is not noted
open-items-plan-not-decided = Plan: not decided
open-items-bench-work-not-closed = Bench work: not closed
open-items-run-in =
    { $more ->
        [none] Burn-in: give it heat cycles and run it again
        [one] Burn-in: one more heat cycle, { FIX($minutes, 0) } min, over by { $due } if it begins now
       *[other] Burn-in: { $more } more heat cycles, { FIX($minutes, 0) } min, over by { $due } if they begin now
    }
open-items-after-no-log-yet = After: no log yet
open-items-after-room-not-noted = After: the room is not noted
open-items-price-not-set = Price not set
open-items-still-open = Still open
open-items-nothing-open = Nothing is open.
open-items-conditions = Conditions
planned-parts-measure-die-first = measure the die first
planned-parts-lot = lot { $lot }
planned-parts-cut-below = cut it below
planned-parts-booked-by-its-amount = booked by its amount
planned-parts-not-on-shelf = not on the shelf
planned-parts-planned = Planned: { $words }
planned-parts-noted = ✓ noted
planned-parts-fitted-book = Fitted, book it
planned-parts-fitted-note = Fitted, note it
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
verdict-page-go-on-to-hand = Go on to Hand over
verdict-page-find-out-why = Find out why
verdict-page-exhaust-got-hotter = The exhaust got hotter
verdict-page-u-expanded-uncertainty-k = U is the expanded uncertainty, k = 2. A change smaller than U is not claimed.
verdict-page-uncertainty-after-jcgm-sensor = Uncertainty after JCGM 100: sensor, room thermometer, run to run and the spread in the window, combined in quadrature; what the same sensor adds to both runs cancels in the change.
rests-on =
    What it rests on{ $open ->
        [0] { "" }
       *[other] : { $open } not sure
    }
rests-on-assumed = Taken to be the same
rests-on-known = Known how
rests-on-why = Why
verdict-page-conditions-side-by-side = Conditions, side by side
intake-form-this-needed-stands-on = This is needed: it stands on the record.
intake-form-this-needed-at-least = This is needed: at least what it is called.
upload-sending = Sending { $name }, { $share } %
upload-reading = Reading { $name } …
fit-fit-closed = Fit closed.
fit-fit-open-again = Fit is open again.
fit-taken-off-list-shelf = Taken off the list; the shelf has it back.
fit-taken-off-list = Taken off the list.
gates-noted-with-your-name = Noted with your name and the time.
hand-over-job-handed-over = Job { $number } is handed over.
hand-over-hand-over-was-taken = The hand-over was taken back.
log-panel-read = { $name } is read.
planned-parts-booked-from-lot = Booked from lot { $lot }.
planned-parts-noted-did-not-come = Noted. It did not come from the shelf.
sound-card-blades = blades
sound-card-whine = whine
sound-card-below-full-scale = dB below full scale
repeats-yes = yes
repeats-no = no
column-table-sure = sure
fit-lot-booked = { $lot }, booked
known-model-kept = { $model } is a kept model: its map with { $places } comes with the job.
intake-serial = Serial number
intake-serial-hint = As its maker put it on the device
intake-tag = Shop's own tag
intake-another-device = It is another device
intake-lidded = Lid over the die
intake-lidded-yes = With a lid
intake-lidded-no = Bare
intake-done-on = Day of the work
intake-done-on-hint = Only for work of an earlier day
same-device-has-been-here = Has been here. Is it this one?
same-device-row =
    { $model }{ $serial ->
        [none] { "" }
       *[other] , { $serial }
    }: { $visits }, last on { $last_on }
same-device-this-one = It is this one
same-device-chosen = A further visit of
same-device-another = Another device
job-room-device = Device
job-room-attempts = { $number ->
    [1] Find out why
   *[other] Attempt { $number }
  }
job-room-all-runs = All runs
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
intake-kept-in-browser = Not taken in yet; kept in this browser.
intake-go-on = Go on to Before
intake-missing-customer = customer
intake-missing-model = model
intake-missing-backup = backup not asked
intake-missing-warranty = warranty not asked
fit-closed = Fit is closed.
fit-missing-parts = what was fitted
hand-over-missing-price = price
hand-over-missing-why = what was put right
hand-over-why = What is put right in version { $number }
hand-over-why-hint = Stands in the new version. Version { $number } stays readable and can still be checked.
hand-over-keep-version = Save as version { $number }
hand-over-cancel = Cancel
hand-over-put-right = Put the record right
intake-language = Customer reads
job-room-counter = Counter
known-model-fill = Fill in { $maker }, { $kind }
log-panel-this-run = this run
refused-log-leave-it = Leave it
sensor-table-sensor = Sensor
sensor-table-change = at equal work ± U
sensor-table-its-limit = its limit
sensor-table-better = better
sensor-table-worse = worse
sensor-table-changed = changed
sensor-table-limit = { $limit } °C{ $noted ->
    [yes] { "" }
   *[no] , usual
}
sensor-table-over = { $over } K over it
sensor-table-is = Change at the watts, the fan and the room of Before. A usual limit is from memory: note the maker's with the device.
intake-limit-hotspot = Graphics hot spot limit
intake-limit-memory = Memory limit
intake-limit-regulators = Regulator limit
intake-limit-drive = Drive limit
intake-limit-surface = Surface limit
sound-panel-marked-place = The phone lies at its mark, as on the other side
sound-panel-not-marked = Without a mark a recording tells tones and speed, but no difference in level: one step back is worth as much as a good service.
intake-more = Asked later, where it is needed
intake-open = still open
open-items-limits = Limits: not noted
open-items-factory = Lid and factory material: not noted
open-items-warranty = Warranty and seal: not asked
