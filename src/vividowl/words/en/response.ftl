### response

approach-points-too-few-to-tell = { $t } points are too few to tell whether it has settled.
    .remedy = Log for longer.
ladder-heatsink-probe-reads-c-but = The heatsink probe reads { SIG($heatsink_c) } °C, but must lie between the room ({ SIG($room_c) } °C) and the die ({ FIX($die_c, 1) } °C).
    .remedy = Check where the probe sat and that it was read under load.
network-no-power-was-logged-so = No power was logged, so the rise cannot be split.
    .remedy = Log the power of the chip as well.
network-log-shows-no-load-step = The log shows no load step, so the rise cannot be split.
    .remedy = Start the log before the load.
network-one-sample-every-s-too = One sample every { FIX($step, 1) } s is too slow to see the interface.
    .remedy = Log every second or so.
network-s-load-too-few-to = { FIX($length, 0) } s of load are too few to split the rise.
    .remedy = Run the load for 10 minutes or longer.
reference-where-heat-stops-not-told = This log does not show where the heat builds up: die, paste and base answer as one, as under a thick lid, with a sensor that smooths, or with seconds between the lines. A probe on the heatsink would tell.
reference-rise-appears-within-seconds-load = { $share } of the rise appears within seconds of the load
reference-one-fifth = One fifth
reference-one-third = One third
reference-two-fifths = Two fifths
reference-three-fifths = Three fifths
reference-two-thirds = Two thirds
reference-three-quarters = Three quarters
reference-hardly-any = Hardly any
reference-about = About { LOW($words) }
reference-k-w-against-k-w = { FIX($interface, 2) } K/W against { FIX($reference_interface, 2) } K/W, { $source }
reference-usual = { FIX($interface_share, 0) } % is usual, { $source }
reference-interface-fine-heat-stops-behind = the interface is fine; the heat stops behind it: dust, blocked vents, a fan that does not turn up, or a case that sheds no more
reference-neither-interface-nor-what-behind = neither the interface nor what is behind it stands out
resistance-log-processor-alone-graphics-alone = Log processor alone, graphics alone and both, ten minutes each.
resistance-processor-and-graphics-heat-cooler = Processor and graphics heat the cooler together and cannot be told apart with one load state. Log processor alone, graphics alone and both, ten minutes each.
resistance-processor-and-graphics-cannot-be = Processor and graphics cannot be told apart with { $states } load state.
resistance-processor-and-graphics-cannot-be-2 =
    Processor and graphics cannot be told apart with these phases: condition number { $condition ->
        [10000] beyond 10000
       *[other] { FIX($condition, 0) }
    }, allowed is up to { FIX($condition_most, 0) }.
resistance-processor-and-graphics-cannot-be-3 = Processor and graphics cannot be told apart with these phases: they were not held until steady.
settling-window-to-s-not-inside = The window { FIX($from_s, 0) } to { FIX($to_s, 0) } s is not inside the log or shorter than 10 s; allowed are { FIX($first, 0) } to { FIX($last, 0) } s.
    .remedy = Drag it over the steady part of the load.
reference-tenth = A tenth
reference-quarter = A quarter
reference-half = Half
reference-share = { FIX($percent, 0) } %
reference-interface-poor =
    the interface is poor; heatsink and fins are { $slow ->
        [yes] slow too
       *[no] fine
    }
reference-judged = { $start } ({ $basis }): { $said }.
source-own_last_visit = own last visit
source-same_model = same model
source-class_typical = class-typical, from memory
