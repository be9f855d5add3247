# The verdict for someone who knows nothing of it.
plain-before-lead = Under load it came in
plain-now-lead = { $comparable ->
    [yes] Now, under the same load, it runs
   *[no] When it was measured again it ran
}
plain-side = { $lead }{ $die ->
    [none] { "" } at a temperature that was not measured
   *[other] { "" } at { FIX($die, 0) } °C
}{ $how ->
    [never] , without having to slow itself down
    [held] , slowed down by its own heat { FIX($held, 0) } % of the time
   *[unknown] { "" }
}{ $noise ->
    [none] { "" }
   *[other] , at { FIX($noise, 0) } dB
}.
plain-free = It no longer has to slow itself down to stay cool.
plain-held = { $less ->
    [yes] It slows itself down less
   *[no] It slows itself down more
}: { FIX($before, 0) } % of the time before, { FIX($after, 0) } % now.
plain-warmth = It is { FIX($degrees, 0) } { $single ->
    [yes] degree
   *[no] degrees
} { $cooler ->
    [yes] { $work ->
        [more] cooler, although it does more work
        [same] cooler at the same work
        [less] cooler; it also did less work
       *[unknown] cooler
    }
   *[no] { $work ->
        [more] hotter; it also does more work
        [same] hotter at the same work
        [less] hotter, although it does less work
       *[unknown] hotter
    }
}.
plain-work = { $more ->
    [yes] It does more work at the same temperature
   *[no] It does less work at the same temperature
}: { FIX($before, 0) } W before, { FIX($after, 0) } W now.
plain-noise = It is { FIX($size, 1) } dB { $quieter ->
    [yes] quieter: { $how ->
        [half] about half as loud, or less
        [clearly] clearly quieter
       *[just] just audibly quieter
    }
   *[no] louder: { $how ->
        [half] about twice as loud, or more
        [clearly] clearly louder
       *[just] just audibly louder
    }
}.
plain-no-difference = No difference can be shown between before and after, and none is claimed.{ $hidden ->
    [none] { "" }
   *[other] { "" } A gain of up to { FIX($hidden, 1) } degrees could hide in what measuring cannot tell.
}
plain-not-comparable = The two measurements were not made alike, so nothing is claimed from them.
plain-calculated = Calculated from watts and temperatures, not seen by itself: { LOW($words) }.
plain-if-same = This holds if { $same } { $assumes ->
    [one] was
   *[other] were
} as before; that is not certain.
plain-fan = the fan setting
plain-place = the place where it stood
plain-load = the work it did
plain-room = the temperature of the room
plain-thermometer = the place of the thermometer
plain-sensor = its sensor
plain-power = the way its power is measured
plain-split = the share of processor and graphics
after-care-vents = Keep the vents free: a table is good, a bed or a blanket chokes it.
after-care-skin-limit = Use it on a dock or a stand only, never on the lap, in bed or in the hand: the bottom gets up to { FIX($skin_high_c, 0) } °C and can burn skin. You accepted this.
after-care-cover-battery-warm = The bottom near the battery gets warm. Charge to 80 % where the device offers it, and come in when the case bulges.
after-care-alloy-carried = Carry it switched off and without shocks: there is liquid metal inside, and it may wander when it is shaken.
after-care-alloy-on-copper = Liquid metal lies on copper: let it be checked once a year.
after-care-case = It has no fan and cools through its case: leave the case free, and out of the sun.
after-care-dust = { $surroundings ->
    [pets] Pet hair
    [smoke] Smoke
   *[dusty] Dust
} comes back where it is used; brush it off the vents from outside now and then, with the device switched off and unplugged.
after-care-runs-in = The new layer still settles over its first warm hours. What was measured is provisional until then: use it as usual and bring it back if it gets hotter, not cooler.
after-care-come-back = If it gets loud or slow again before the next service, bring it in early.
record-promise = The plan promised { FIX($low, 2) } to { FIX($high, 2) } K/W for “{ $words }”, with the fan as before; After measured { FIX($measured, 2) }{ $u95 ->
    [none] { "" }
   *[other] { "" } ± { FIX($u95, 2) }
}: { $inside ->
    [yes] as promised
   *[no] not as promised
}.
plain-sensor-over = The { $sensor } { $still ->
    [yes] is still
   *[no] is now
} { FIX($over, 0) } degrees above { $noted ->
    [yes] its limit
   *[no] what is usual for it
}; please ask us about it.
