### heat

air-exhaust-rise-went-from-to =
    The exhaust rise went from { FIX($rise_before, 0) } to { FIX($rise_after, 0) } K, { FIX($measured, 2) } times; { $by ->
        [fan] the fan at { FIX($fan_percent, 0) } % of its speed
       *[noise] { FIX($level_change_db, 1) } dB { $quieter ->
            [yes] less
           *[no] more
        } noise
    }{ $watts ->
        [yes] { "" } and { FIX($power_ratio, 2) } times the watts account
       *[no] { "" } accounts
    } for { FIX($allowed, 2) } times, ± { FIX($ratio_tolerance, 0) } %.
air-exhaust-not-known = The exhaust rise went from { FIX($rise_before, 0) } to { FIX($rise_after, 0) } K. Neither noise nor fan speed tells why: a slower fan, more watts and a better interface all warm the exhaust.
air-that-does-not-explain-check = That does not explain it: check power, seating and vents.
air-that-no-fault-fan-turns = That is no fault: the fan turns slower, so the watts leave in less air.
air-that-no-fault-more-watts = That is no fault: more watts leave in the same air.
air-must-be-above = { LABEL($name) } is { SIG($value) } { $unit }, must be above 0 { $unit }.
    .remedy = Read the exhaust under load, with the room noted.
conduction-paste-film-has-to-m = A paste film has 20 to 50 µm.
conduction-pastes-have-to-copper-about = Pastes have 1 to 15, copper about 390.
conduction-width-times-length-die = Width times length of the die.
conduction-name-one-path-at-least = Name one path at least.
skin-s-for-touch-s-for = 60 s for a touch, 28800 s for a day on the lap.
skin-width-times-length-cover = Width times length of the cover.
skin-pad-cannot-be-larger-than = The pad cannot be larger than the cover.
skin-only-heat-that-goes-into = Only the heat that goes into the cover.
temperature-rise-below-zero-means-that = A rise below zero means that room and sensor disagree.
temperature-power-w-resistance-needs-power = Power is { SIG($power) } W; a resistance needs power above 0 W.
    .remedy = Log the power channel, or leave resistance unknown.
temperature-thermal-resistance-k-w-must = Thermal resistance is { SIG($resistance) } K/W; it must be above 0 K/W.
    .remedy = Check room temperature and power channel.
