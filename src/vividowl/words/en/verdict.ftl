### verdict

comparison-neither-fan-speed-nor-fan = Neither fan speed nor fan setting is known on both sides, and the fan alone could do it. Note the setting.
comparison-where-stood-not-noted-on = Where it stood is not noted on both sides, and the place alone could do it. Note the placement.
comparison-changed-by-more-than-two = { $words } changed by { $size }: larger than run-to-run variation.
comparison-not-known-on-both-sides = { $words }: not known on both sides.
comparison-changed-by-within-what-two = { $words } changed by { $size }: within run-to-run variation.
comparison-comparison-needs-run-on-both = A comparison needs a run on both sides.
    .remedy = Add a run to the side that has none.
comparison-true-gain-up-to-k =
    A true gain up to { FIX($hidden_k, 1) } K could hide here{ $more ->
        [runs] ; two more runs on each side would show { FIX($showable_k, 1) } K
        [hardly] ; repeats would hardly narrow that: an even load, the same fan and a longer run would
       *[none] { "" }
    }.
comparison-two-logs-hold-different-die = The two logs hold different die sensors. Compare the same sensor on both sides.
comparison-die-sensor-never-moves-so = A die sensor never moves, so nothing follows from it. Log another sensor.
comparison-room-was-not-noted-on = The room was not noted on both sides, so no rise over it is known. Note the room.
comparison-fan-turned-after-against-rpm =
    The fan turned { $if_ratio ->
        [yes] slower
       *[no] faster
    } after ({ FIX($after, 0) } against { FIX($before, 0) } rpm); the resistance was converted to one speed.
comparison-before-heat-held-back-for = Before, heat held it back for { FIX($share, 0) } % of the load; on a throttled machine the temperature stays at its limit and the watts tell.
comparison-after-began-k-what-left =
    After began { FIX($start_apart_k, 0) } K { $if_start_apart_k ->
        [yes] warmer
       *[no] cooler
    }; what is left of that is in the uncertainty.
comparison-not-both-runs-had-settled = Not both runs had settled: they are judged as measured, at equal times.
comparison-heat-held-device-back-on = Heat held the device back on one side, and no power was logged there. Log the power channel.
comparison-fan-ran-much-after-against =
    The fan ran much { $faster ->
        [yes] faster
       *[no] slower
    } after ({ FIX($after, 0) } against { FIX($before, 0) } rpm), which alone { $faster ->
        [yes] cools
       *[no] heats
    }. Repeat at one fixed fan speed.
comparison-one-level-on-each-side = One level on each side carries no verdict, since a fan in steps may stand on either of two: repeat both, or log the fan speed.
conditions-fan-setting = fan setting
conditions-power-profile = power profile
conditions-repeat-one-side-with-same = Repeat one side with the same load.
conditions-repeat-with-same-fan-setting = Repeat with the same fan setting.
conditions-repeat-with-same-power-profile = Repeat with the same power profile.
conditions-repeat-in-same-place-lid = Repeat in the same place: lid, stand, dock and lap all change the air.
conditions-compare-same-sensor-on-both = Compare the same sensor on both sides.
conditions-firmware-update-can-change-fan = A firmware update can change fan table and limits; part of the effect may be its own.
conditions-undervolt-cap-or-driver-changed = Undervolt, cap or driver changed in between; part of the effect may be its own.
conditions-one-run-started-warm-does = One run started warm; it does not matter once both have settled.
conditions-rooms-differ-by-k-more = The rooms differ by { FIX($b, 1) } K, more than { FIX($room_corrected_k, 0) } K: corrected, but fan and leakage follow temperature, so take the result with care.
conditions-against-and-not-both-have = { $words } against { $words_2 }, and not both have settled. Repeat for the longer time.
conditions-room-was-not-noted-so = The room was not noted, so rises over it are not known. Note the room.
conditions-rooms-differ-by-k-rises = The rooms differ by { FIX($b, 1) } K; the figures are corrected for room temperature.
conditions-one-run-was-longer-both = One run was longer; both have settled, so it does not matter.
conditions-against-and-not-both-have-2 = { $words } against { $words_2 }, and not both have settled: both are judged at { FIX($b, 0) } min.
conditions-not-noted = Not noted.
conditions-was-before-and-after = The { $words } was “{ $b }” before and “{ $a }” after. { $name }
conditions-cold-start-against-warm-one = A cold start against a warm one, and not both have settled. Repeat with the same start.
effects-mean-over-end-load = mean over the end of the load
effects-duration-same-work = Duration of the same work
effects-frame-rate = Frame rate
effects-what-two-runs-one-benchmark = { SIG($result_share) } % is what two runs of one benchmark differ by
effects-at-min-load-on-both = { "" } at { FIX($at_s, 1) } min of load on both sides
effects-resistance-same-fan = Resistance, same fan
effects-die-temperature = Die temperature
effects-s-before-s-after = { $window }, { FIX($from_s, 0) } s before, { FIX($window_from_s, 0) } s after
effects-rise-over-room = Rise over room
effects-t-t-room-valid-in = T − T_room{ $terms }, valid in any room at equal power and fan; { $over }
effects-heat-into-shared-cooler = heat into the shared cooler, { $window }
effects-thermal-resistance = Thermal resistance
effects-rise-power-as-cooler-remembers = rise / power as the cooler remembers it; { $r }
effects-sustained-capacity = Sustained capacity
effects-held-back-by-heat = Throttled
effects-load = % of load
effects-pinned-at-its-plateau-with =
    pinned at its plateau with power or clock given up; told by { $before ->
        [none] nothing
       *[other] { $before }
    } before, { $after ->
        [none] nothing
       *[other] { $after }
    } after
effects-fan-speed = Fan speed
effects-less-time-more-throughput = { FIX($less_time_percent, 1) } % less time is { FIX($more_throughput_percent, 1) } % more throughput; { $working }
headline-db-no-hotter =
    { FIX($difference, 0) } dB { $if_difference ->
        [yes] quieter
       *[no] louder
    }, no hotter
headline-now-k-below-its-limit = now { FIX($below, 0) } K below its limit
headline-quieter-by-db-and-hotter = quieter by { FIX($difference, 0) } dB, and hotter by { FIX($rise_difference, 0) } K
headline-cooler-by-k-and-louder = cooler by { FIX($difference, 0) } K, and louder by { FIX($noise_difference, 0) } dB
headline-k-over-room =
    { FIX($difference, 0) } K { $if_difference ->
        [yes] less
       *[no] more
    } over the room
headline-if-same =
    , if { $same } { $assumes ->
        [one] was
       *[other] were
    } the same
headline-held-back = throttled { FIX($before, 0) } % → { FIX($after, 0) } %
headline-same-load = , under the same load { "" }
headline-with-fan-as-before = { "" } with the fan as before
headline-k-at-w =
    { FIX($kelvins, 0) } K { $if_difference ->
        [yes] less
       *[no] more
    } at { FIX($before, 0) } W{ $at_fan }
headline-cannot-be-compared = Cannot be compared
headline-at-its-c-limit = at its { FIX($plateau, 0) } °C limit { "" }
headline-no-difference-shown = No difference shown
headline-clock = clock { FIX($percent, 0, sign: 1) } %
parts-before-after =
    { $name }: before { $before ->
        [none] not known
       *[other] { FIX($before, $digits) } { $unit }
    }, after { $after ->
        [none] not known
       *[other] { FIX($after, $digits) } { $unit }
    }
parts-scatter-from-repeats = scatter from the repeats
quieter-energy-mean-readings-background-taken = energy mean of the readings, background taken out (ISO 3744)
quieter-weighted-energy-mean-recordings-same = A-weighted energy mean of the recordings, same phone, same place and gain; only the difference is firm
quieter-rooms-differ-db-for-fan = the rooms differ, ± { FIX($half_width_db, 1) } dB for the fan that follows
quieter-room-alone-was-not-recorded = the room alone was not recorded on both sides, so the true change may be larger
quieter-noise-by-recording = Noise by recording
quieter-read-at-and-at-not = read at “{ $place }” and at “{ $other }”: not comparable
quieter-converted-from-m-to-m = converted from { SIG($from_m) } m to { SIG($to_m) } m
quieter-background-was-too-near-so = the background was too near, so a level is an upper bound
conditions-load = load
conditions-placement = placement
conditions-sensor = sensor
start-cold = cold
start-warm = warm
conditions-start = start
conditions-firmware = firmware
conditions-tuning = tuning
conditions-side-not-noted =
    Not noted { $side ->
        [before] before; taken as the same
       *[after] after; taken as the same
        [neither] on neither side
    }.
quieter-noise = Noise
effects-score = Score
effects-points = points
effects-frames-s = frames/s
effects-percent = { FIX($percent, 2, sign: 1) } %
effects-power = Power
effects-clock = Clock
effects-same-fan-working = R + { FIX($behind, 2) } K/W·((N / { FIX($rpm, 0) } rpm)^{ SIG($exponent) } − 1), exponent ± { SIG($half_width) }; { $both }
effects-capacity-working =
    calculated: (T_limit − { FIX($room_c, 0) } °C) / R, { $limit_c ->
        [none] limit not known
       *[other] { FIX($limit_c, 0) } °C limit
    }{ $draws_w ->
        [none] { "" }
       *[other] , no more than the { SIG($draws_w) } W it draws
    }
comparison-size = { FIX($change, $digits, sign: 1) } ± { FIX($u95, $digits) } { $unit }
headline-improved = Improved
headline-worse = Worse
headline-fan = fan
headline-place = place
headline-load = load
headline-room = room
headline-thermometer = thermometer's place
headline-sensor = sensor
headline-power = meaning of the power
headline-split = split between the chips
headline-figure = { FIX($value, $digits) }
headline-watts = { FIX($value, $digits) } W
conditions-degrees = { FIX($value, 1) } °C
conditions-minutes = { FIX($value, 0) } min
conditions-room = room
conditions-duration = duration
comparison-sag = From minute 1 to minute 10 of the load: { FIX($before_1, 1) } → { FIX($before_10, 1) } W before, { FIX($after_1, 1) } → { FIX($after_10, 1) } W after.
bearing-same = same
bearing-corrected = corrected
bearing-noted = noted
bearing-unknown = not known
bearing-forbids = forbids

## What an answer rests on

assumed-load-by-power = The power in both logs shows what each run worked.
assumed-load-by-work =
    { $name ->
        [frames] The frame rate
       *[clock] The clock
    } was the same on both sides.
assumed-load-not-logged = Nothing in the logs shows that the load was the same: neither power, clock nor frame rate.
assumed-load-remedy = Repeat one side with the same load, and log power or clock.
assumed-use-moved = The use went from { FIX($before, 0) } to { FIX($after, 0) } %: that was another load.
assumed-work-moved =
    { $name ->
        [frames] The frame rate went from { FIX($before, 0) } to { FIX($after, 0) } a second
       *[clock] The clock went from { FIX($before, 0) } to { FIX($after, 0) } MHz
    }, and no power was logged: the load or its power limit may have changed.
assumed-power-differs = It drew { FIX($before, 0) } W before and { FIX($after, 0) } W after, and a cooler at its limit gets better with less power by itself.
assumed-power-differs-remedy = Repeat one side at the power of the other.
assumed-fan-logged = The fan's speed is in both logs.
assumed-fan-fixed = Noted as fixed: { $setting }.
assumed-fan-auto = The fan was not fixed and its speed is in neither log, so it may have turned otherwise.
assumed-fan-heard = The fan was heard in both recordings at one speed, { FIX($rpm, 0) } rpm.
assumed-fan-heard-apart = The fan was heard at { FIX($before, 0) } rpm before and at { FIX($after, 0) } rpm after.
assumed-fan-remedy = Repeat with the fan fixed, or log its speed.
assumed-room-logged = The room's temperature is in both logs.
assumed-room-noted = Noted by hand, and the curve gives no reason to doubt that it stayed.
assumed-room-fell =
    { $side ->
        [before] Before
       *[after] After
    } the die fell by { FIX($fell, 1) } K at even power: the room may have cooled.
assumed-room-late = Only { FIX($percent, 0) } % of the difference was there at half of the run: what changed inside shows within minutes, a room does not.
assumed-room-remedy = Repeat with windows and heating as they are, and note the room at the end too.
assumed-idle-not-logged = The room was noted by hand; the logs hold no idle that could check the thermometer.
assumed-idle-agrees = At idle both sides stood as far over the noted room as they should.
assumed-idle-differs =
    At idle After already stood { FIX($apart, 1) } K { $warmer ->
        [yes] warmer
       *[no] cooler
    } over the noted room than it should: that is the thermometer or the sensor.
assumed-thermometer-remedy = Repeat with the thermometer away from the exhaust and the sensor unchanged.
assumed-sensor-same = The same column on both sides.
assumed-sensor-noted = The same kind of sensor on both sides; the columns' names are not known.
assumed-sensor-other = Before the die was read from “{ $before }”, after from “{ $after }”.
assumed-sensor-other-remedy = Choose the same column on both sides.
assumed-sensor-clipped =
    { $side ->
        [before] Before
        [after] After
       *[both] On both sides
    } the die shows one and the same value from early on though nothing is given up for it: the sensor may show no more than that.
assumed-sensor-clipped-remedy = Log another sensor of the die.
assumed-firmware = The firmware changed in between: it may read the sensor or turn the fan otherwise.
assumed-firmware-remedy = Repeat Before with the new firmware where the old state can be had, else say so.
assumed-power-agrees = Idle power and clock give no reason to doubt what the power column means.
assumed-power-idle = At idle it drew { FIX($before, 0) } W before and { FIX($after, 0) } W after: the power column may mean something else.
assumed-power-clock = Power changed by { FIX($power, 0, sign: 1) } %, the clock by { FIX($clock, 0, sign: 1) } %: the power column may mean something else.
assumed-power-remedy = Look whether both logs hold the power of the same thing, the package alone.
assumed-split-same = Processor and graphics shared the power alike on both sides.
assumed-split-moved = Of the power { FIX($before, 0) } % went into the processor before and { FIX($after, 0) } % after.
assumed-split-reckoned = The power moved between processor and graphics; by the shared cooler that is { FIX($kelvins, 1, sign: 1) } K and does not explain the difference.
assumed-split-remedy = Repeat with a load that works one chip alone.
assumed-placement-noted = The same place was noted on both sides; lid, cloth and dock cannot be seen in a log.
assumed-placement-remedy = Repeat in the same place, lid and stand alike.
assumption-load = Load
assumption-fan = Fan
assumption-room = Room
assumption-thermometer = Thermometer
assumption-sensor = Sensor of the die
assumption-power = Meaning of the power
assumption-split = Split between the chips
assumption-placement = Place
standing-checked = checked by the log
standing-noted = noted by hand
standing-doubtful = doubtful
standing-unknown = not known
headline-over-limit = { $sensor } { $still ->
        [yes] still
       *[no] now
    } { FIX($over, 0) } K over its limit
headline-sensor-k =
    { $sensor } { FIX($kelvins, 0) } K { $less ->
        [yes] less
       *[no] more
    }{ $over ->
        [none] { "" }
       *[other] , { FIX($over, 0) } K over its limit
    }
headline-named = { $sensor } { "" }
comparison-sensor-carries = { $sensor } changed by { FIX($change, 1, sign: 1) } ± { FIX($u95, 1) } K at equal work, more than chance among several sensors.
comparison-sensor-over = Above its limit: { $sensor }, with { FIX($after, 0) } °C at the end; { FIX($limit, 0) } °C is { $noted ->
        [yes] the limit noted for it
       *[no] what is usual: note the maker's limit
    }.
effects-in-one-room = { $window }; after as it would be at { FIX($room_c, 1) } °C, since a die at its limit gives more in a cooler room
quieter-place-not-marked = the place of the phone was not marked for both recordings, so no difference follows
quieter-gain-may-differ = the gain of the phone may differ: neither the room alone nor its hiss is the same on both sides
