### reading

findings-not-settled-and-where-would = { $text }; not settled, and where it would end is not known.
findings-k-vanish-within-seconds = { FIX($fast_drop_k, 0) } K vanish within seconds
findings-load-starts-at =
    Load starts at { $at }{ $boost_end ->
        [none] { "" }
       *[other] , boost ends at { $boost_end }
    }
findings-log-shows-no-idle-before = The log shows no idle before the load, so all of it is taken as loaded
findings-figures-from-to-set-by = { $text }; figures from { $from_s } to { $to_s }, set by hand.
findings-settled-from =
    { $text }; { $to_go_k ->
        [none] settled
        [0] fully settled
       *[other] settled
    } from { $at }{ $to_go_k ->
        [none] { "" }
        [0] { "" }
       *[other] { "" } ({ FIX($to_go_k, 1) } K to go)
    }.
findings-not-settled-more-minute-would =
    { $text }; not settled: { $more } more minute{ $more ->
        [one] { "" }
       *[other] s
    } would settle it, it would end near { FIX($final_c, 0) } ± { FIX($uncertainty_k, 0) } °C.
findings-load-pauses-for-about-s =
    The load pauses { $n ->
        [one] once
       *[other] { $n } times
    } for about { FIX($seconds, 0) } s, as between the passes of a loop: utilisation falls with the power, so that is no throttling, and the figures leave it out.
findings-held-back-by-heat-loaded =
    Throttled{ $limit_c ->
        [none] { "" }
       *[other] { "" } at { FIX($limit_c, 0) } °C
    } { FIX($share, 0) } % of the loaded time ({ $episodes ->
        [one] { $episodes } episode
       *[other] { $episodes } episodes
    }{ $first_s ->
        [none] { "" }
       *[other] , first after { $first_s }
    }){ $gives ->
        [yes] , giving up { $given }
       *[no] { "" }
    }.
findings-split-taken-from-cool-down = The split is taken from the cool-down ({ $fast }, { FIX($interface, 2) } K/W); at the start of the load, where the fan changes its speed, it would be { FIX($under_load, 2) } K/W.
findings-log-only-s-long-ten = The log is only { FIX($duration_s, 0) } s long; ten minutes of load or more are needed to judge.
findings-reads-c-from-first-sample = The { $name } reads { FIX($mean, 1) } °C from the first sample to the last: the sensor is stuck or the column is something else. Nothing else follows from it.
findings-shared-limit = Processor and graphics share { SIG($watts) } W: what one takes, the other gives up.
findings-shared-cooler-processor-k-w = Shared cooler: processor { FIX($cpu, 2) } ± { FIX($cpu_u, 2) } K/W by its own watts and { FIX($cpu_from_gpu, 2) } K/W by those of graphics; graphics { FIX($gpu, 2) } ± { FIX($gpu_u, 2) } and { FIX($gpu_from_cpu, 2) } K/W.
findings-whether-heat-holds-back-not = Whether heat holds it back is not known: neither power, clock nor a throttle flag was logged.
findings-held-back-limit-not-known = Whether heat holds it back is not known: the die stays where it is from early on, as it does at a limit and as it does at rest. Note the temperature limit of the device.
findings-held-back-by-heat-time = Throttled 0 % of the time.
findings-cool-down-agrees = The cool-down agrees: { $fast }.
findings-cool-down-does-not-agree = The cool-down does not agree: { $fast }, { FIX($interface, 2) } K/W against { FIX($under_load, 2) } K/W under load. Take the split with care.
findings-by-calculation-can-hold-w = By calculation it can hold { FIX($value, $digits) } ± { FIX($u95, $digits) } W at { FIX($limit, 0) } °C in a room of { FIX($reference_room_c, 0) } °C.
findings-load-phases = Load phases: { $phases }.
reading-die-sensor-never-moves-so = The die sensor never moves, so nothing follows from it.
reading-both-chips-work-in-every = Both chips work in every phase, so the rise cannot be split.
reading-room-temperature-not-noted = The room temperature is not noted.
findings-steady =
    { CAP($name) } { FIX($die_c, 1) } °C{ $power_w ->
        [none] { "" }
       *[other] { "" } at { FIX($power_w, 1) } W
    }{ $over_k ->
        [none] { "" }
       *[other] , { FIX($over_k, 1) } K over the room
    }{ $resistance ->
        [none] { "" }
       *[other] , { FIX($resistance, 2) } ± { FIX($u95, 2) } K/W
    }.
findings-phase =
    { $chip ->
        [processor] processor only
        [graphics] graphics only
       *[both] both
    } { $from_s } to { $to_s }
findings-given-up = { FIX($value, 0) } { $unit }
reading-no-die-where-figures = The log holds no die temperature from { $from_s } to { $to_s }, where its figures would be taken from.
    .remedy =
        { $chosen ->
            [yes] Choose a part of the load in which the die was logged.
           *[other] Log the die to the end of the load, or name another column as the die.
        }
findings-sag =
    { $told ->
        [yes] From minute 1 to minute 10:
       *[other] From minute 1 to minute 10 it holds its power:
    } { FIX($first_w, 1) } → { FIX($tenth_w, 1) } W{ $first_mhz ->
        [none] {""}
       *[other] , { FIX($first_mhz, 0) } → { FIX($tenth_mhz, 0) } MHz
    }{ $first_c ->
        [none] {""}
       *[other] , { FIX($first_c, 0) } → { FIX($tenth_c, 0) } °C
    }.
findings-frames =
    { FIX($rate, 1) } frames a second{ $slow_rate ->
        [none] {""}
       *[other] , the slow one per cent { FIX($slow_rate, 1) }
    }.
pace-no-frame-times = { $n } of its lines hold the time of a frame; at least 2 are needed.
    .remedy = Export the log with a line a frame and the time of each in milliseconds.
repeat-other-sensor = This log tells the { $other }, the first one the { $first }: it is a run of another sensor.
repeat-other-load = { FIX($other, 0) } W against { FIX($first, 0) } W: it is a run under another load, or with another power limit.
repeat-other-fan = The fan turned at { FIX($other, 0) } rpm against { FIX($first, 0) } rpm: it is a run at another fan speed.
findings-cores-apart = The cores lie { FIX($spread, 0) } K apart under load: a tilted cooler or a bald corner makes one of them hotter, and so does a load on few cores or cores of two kinds.
findings-nothing-wrong = Nothing is wrong with its cooling: it ends { FIX($below, 0) } K below its limit, never held back, as its kind does.
findings-sensor-dead = One sensor shows one and the same value throughout and is left out: { $sensor }.
