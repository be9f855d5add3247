### quantities

change-percentage-degrees-has-no-meaning = A percentage of degrees has no meaning, since their zero is arbitrary.
    .remedy = Compare the rise over room in kelvins: subtract the room from both readings first.
change-value-before-share-nothing-not = The value before is 0; a share of nothing is not defined.
    .remedy = Compare the two values by their difference.
change-duration-s-must-be-above = Duration is { SIG($value) } s, it must be above 0 s.
    .remedy = Enter a duration above zero.
errors-check-value-and-its-unit = Check the value and its unit.
uncertainty-die-sensor = Die sensor
uncertainty-room-thermometer = Room thermometer
uncertainty-run-to-run = Run to run
uncertainty-power-sensor = Power sensor
uncertainty-value = of the value
uncertainty-sound-meter = Sound meter
uncertainty-noise-in-another-room = Noise in another room
uncertainty-benchmark-result = Benchmark result
uncertainty-no-uncertainty-to-combine = No uncertainty to combine.
    .remedy = Enter one uncertainty at least.
uncertainty-spread-needs-two-samples-or = A spread needs two samples or more.
    .remedy = Measure once more.
uncertainty-allowed-to = { $words } is { SIG($value) } { $unit }, allowed are 0 to { SIG($most) } { $unit }.
    .remedy = Give half of the width within which the true value lies.
units-type-room-s-temperature-in = Type the room's temperature in °C, read at the bench away from the exhaust.
units-was = Was it { FIX($room_c, 1) }?
errors-below =
    { LABEL($name) } is { $value ->
        [none] not a number
       *[other] { SIG($value) }
    }{ UNIT($unit) }, allowed is { SIG($low) }{ UNIT($unit) } or more.
errors-outside =
    { LABEL($name) } is { $value ->
        [none] not a number
       *[other] { SIG($value) }
    }{ UNIT($unit) }, allowed are { SIG($low) } to { SIG($high) }{ UNIT($unit) }.
allowed = Allowed: { $names }.
uncertainty-clock = Clock
field-boot_s = Time to boot
field-cycles = Heat cycles since fitting
field-film_um = Usual film
field-held = Contents
field-hourly_rate = Hourly rate, without tax
field-work_warranty_months = Warranty of our work
field-price_cents = Price
field-limit_cents = Price limit without asking
field-good_days = Good for
field-link_months = Links to records are good for
field-kerf_mm = Blade width
field-leftover = Left over in the tray
field-limit_c = Temperature limit
field-low_at = Warn below
field-months_since_service = Since the last service
field-power_limit_cpu_w = Processor power limit
field-power_limit_gpu_w = Graphics power limit
field-power_limit_both_w = Shared power limit
field-reference_db = Reference level
field-remaining = Amount left
field-result_duration_s = Run time
field-result_frame_rate = Frame rate
field-result_score = Score
field-sheet_length_mm = Sheet, length
field-sheet_width_mm = Sheet, width
field-want = Smallest difference to show
field-room_k = Room thermometer
field-power_share = Power sensor
field-clock_share = Clock
field-noise_room_db_per_k = Noise in another room
field-result_share = Benchmark result
field-heat_cycles = Heat cycles since fitting
field-cpu_die_width_mm = Processor die, width
field-cpu_die_length_mm = Processor die, length
field-gpu_die_width_mm = Graphics die, width
field-gpu_die_length_mm = Graphics die, length
field-undervolt_mv = Undervolt by
field-cap_w = Power cap
field-package_width_mm = Package, width
field-package_length_mm = Package, length
field-die_width_mm = Die in it, width
field-die_length_mm = Die in it, length
field-offset_x_mm = Die off the middle, across
field-offset_y_mm = Die off the middle, along
field-neighbours_mm = Bare parts begin after
field-pad_mm = Old pad, where it is pressed
field-pad_conductivity = Its conductivity
field-shim_width_mm = Shim, width
field-shim_length_mm = Shim, length
field-shim_mm = Shim, thickness
field-pad_width_mm = Pad, width
field-pad_length_mm = Pad, length
field-gap_tolerance_mm = It differs by
field-battery_mm = Battery begins after
field-area_cm2 = Wetted area, both sides
field-target_um = Nickel wanted
field-rate_um_h = Its rate, by sheet or coupon
field-gpu_hotspot = Graphics hot spot limit
field-memory_temperature = Memory limit
field-regulator_temperature = Regulator limit
field-drive_temperature = Drive limit
field-skin_temperature = Surface limit
errors-one-of = “{ $value }” isn’t a choice for { LABEL($name) }. Allowed: { $allowed }.
    .remedy = Choose one of these.
