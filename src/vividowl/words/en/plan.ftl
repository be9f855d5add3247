### plan

cover-pad-mm-in-this-gap = A pad of { SIG($thickness_mm) } mm in this gap pushes the cover out by { FIX($bulge, 1) } mm; { SIG($bulge_most_mm) } mm is the most.
cover-measure-pad = Measure the pad.
cover-press-ball-putty-between-heatsink = Press a ball of putty between heatsink and cover.
cover-as-far-as-putty-differs = As far as the putty differs from place to place.
cover-from-pad-s-edge-to = From the pad's edge to the battery's outline.
cover-no-pad-stays-between-and = No pad stays between 10 and 30 % over { FIX($gap_mm, 2) } ± { FIX($gap_tolerance_mm, 2) } mm: it presses the cover out or does not touch. Use putty, or measure the gap again.
gates-cover-would-reach-c-up = The cover would reach { FIX($skin_c, 0) } °C, up to { FIX($high, 0) } °C
gates-cold-plate-aluminium = The cold plate is aluminium
gates-aluminium-stands-beside-contact = Aluminium stands beside the contact
gates-bare-parts-stand = Bare parts stand
gates-nobody-has-looked-whether-bare = Nobody has looked whether bare parts stand
gates-gallium-alloy-destroys-aluminium-within = { $where }: gallium alloy destroys aluminium within days.
gates-choose-paste-or-phase-change = Choose paste or a phase-change sheet; a smear is enough to do the damage.
gates-on-bare-copper-alloy-soaks = On bare copper the alloy soaks in and looks dried out within months.
gates-tell-owner-and-agree-on = Tell the owner, and agree on a look every year; nickel plating avoids it.
gates-around-die-and-alloy-conducts = { $known } around the die, and alloy conducts electricity.
gates-put-coating-step-into-plan = Put a coating step into the plan: coat twice, 15 min apart, or tape; keep the factory's foam. Confirm it after cleaning.
gates-nail-lacquer-insulates-cheaply-but = Nail lacquer insulates cheaply, but holds heat in and is not rated for it.
gates-last-choice-two-thin-layers = Last choice: two thin layers, not on parts above 80 °C; conformal coat is rated to 110 °C.
gates-carried-and-shaken-alloy-can = It is carried and shaken: alloy can move out of the gap.
gates-prefer-phase-change-sheet-or = Prefer a phase-change sheet, or let the owner accept it.
gates-take-next-thinner-pad-or = Take the next thinner pad, or putty, and look at the imprint on the die.
gates-take-one-that-rated-higher = Take one that is rated higher, or look its service temperature up again.
gates-paste-planned-where-gap-must = Paste is planned where a gap must be bridged; it cannot bridge one.
gates-take-pad-or-putty-there = Take a pad or putty there.
gates-take-smaller-shim-move-over = Take a smaller shim, move it over the die, insulate the parts beside it.
gates-take-size-that-names-and = Take the size that it names, and look at the imprint of putty before paste.
gates-measure-that-row-again-other = Measure that row again; the other rows stand as planned.
gates-how-warm-cover-gets-not = How warm the cover gets is not known yet.
gates-give-size-material-and-pad = Give size, material and pad of the cover below.
gates-on-lap-or-in-hand = { $said }; on a lap or in a hand { FIX($limit, 0) } °C is the limit.
gates-not-for-lap-or-hand = Not for a lap or a hand. Couple less of it, or leave it as the maker built it.
gates-battery-s-edge-would-reach = The battery's edge would reach up to { FIX($battery, 0) } °C; above { FIX($battery_warn_c, 0) } °C it ages fast.
gates-move-pad-away-from-make = Move the pad away from it, make it smaller, or let the owner accept a shorter battery life.
gates-where-battery-lies-under-cover = Where the battery lies under the cover is not measured.
gates-measure-from-pad-s-edge = Measure from the pad's edge to the battery's outline, and note it below.
gates-take-next-thinner-or-softer = Take the next thinner or a softer pad, or a smaller one.
gates-gap-between-heatsink-and-cover = The gap between heatsink and cover is not measured, so that no pad can be chosen for it.
gates-press-ball-putty-between-them = Press a ball of putty between them and measure it.
gates-swollen-battery-can-catch-fire-2 = A swollen battery can catch fire when bent or pierced.
gates-do-not-press-pry-or-2 = Do not press, pry or charge it. Isolate it; dispose of it by local rules.
gates-plan-opens-mains-supply-which = The plan opens the mains supply, which holds a dangerous charge after unplugging.
gates-leave-closed-hand-to-licensed = Leave it closed; hand it to licensed practice where it must be opened.
gates-plating-uses-acids-and-nickel = Plating uses acids and nickel salts, which burn, poison and sensitise.
gates-nitrile-gloves-closed-goggles-apron = Nitrile gloves, closed goggles, apron, ventilation, labels, legal disposal; a plated part or a plating shop is the better way.
gates-opening-may-end-warranty-or-2 = Opening it may end the warranty or break the seal.
gates-photograph-seal-and-let-owner-2 = Photograph the seal and let the owner accept the loss, or stop.
gates-what-cold-plate-and-parts = What the cold plate and the parts beside it are made of is not known yet.
gates-scratch-test-or-look-up = Look it up or take the maker's word, and note both below; not sure stays not known. Bare aluminium bars alloy.
gates-nickel-is-a-barrier-where-whole = Nickel keeps alloy out only where it lies on copper and is whole. The look is no proof: plated aluminium looks alike, a scratch opens it.
gates-take-maker-s-word = Go by the maker's word and look for scratches under the loupe. Not sure: note it as not known, and no alloy.
gates-above-c-touch-burns-wherever = { $said }; above { FIX($never_above_c, 0) } °C a touch burns, wherever it stands.
gates-couple-less-take-watts-away = Couple less of it, take watts away, or leave it as the maker built it.
gates-pad-reaches-over-battery-heat = The pad reaches over the battery: heat and pressure on it can set it on fire.
gates-make-pad-smaller-or-leave = Make the pad smaller, or leave the cover as the maker built it.
gates-for-this-contact-c-limit = { $said }; for this contact { FIX($limit, 0) } °C is the limit.
gates-after-was-run-on-lap = After was run on the lap or in the hand. { $said } Skin that touches it for hours is burnt from { SIG($limit) } °C on, so this device is not for that place, and what was measured there does not show what the pad buys.
gates-repeat-after-where-cover-may = Repeat After on the dock or stand that Before stood on. Tell the owner again where it may not be used.
gates-only-for-docked-machine-on = Only for a docked machine on a stand: label it, tell the owner in words, and let them accept it.
inspection-rated-to-c-die-reaches = { CAP($words) } is rated to { FIX($service_c, 0) } °C, the die reaches { FIX($hottest_c, 0) } °C.
inspection-to-mv-seen-makers-often = 40 to 150 mV is seen; makers often cap at 80.
inspection-row = Row { $row }, { $target }:
inspection-to = { FIX($compression_min, 0) } to { FIX($compression_max, 0) } %
inspection-no-pad-stays-between-and = No pad stays between 10 and 30 % over { FIX($gap_mm, 2) } ± { FIX($tolerance_mm, 2) } mm; the nearest, { SIG($thickness_mm) } mm, is pressed by { FIX($compression_min, 0) } to { FIX($compression_max, 0) } %. Use putty.
inspection-both-sides-what-bath-wets = Both sides of what the bath wets.
inspection-as-maker-bath-says = As the maker of the bath says.
inspection-electroless-bath = electroless bath
inspection-nickel-bath-with-anode-and = nickel bath with anode and current source
inspection-how-many-such-parts = How many such parts.
inspection-pressed-by-over-gap-s = Pressed by { $pressed } over the gap's tolerance.
inspection-measure-die-with-plastic-calipers = Measure the die with plastic calipers.
inspection-gap-lies-on-read-by = Gap { $i } lies on “{ $target }”, read by “{ $how }”.
    .remedy = Allowed: { $targets }; { $ways }.
inspection-measure-part = Measure the part.
inspection-nothing-bridges-mm-pads-reach = Nothing bridges { SIG($gap_mm) } mm: pads reach { SIG($pads_most_mm) } mm, putty { SIG($putty_most_mm) } mm.
inspection-use-putty = { $reason } Use putty.
options-k-at-same-work =
    { FIX($kelvins, 0) } K { $cooler ->
        [yes] cooler
       *[no] warmer
    } at the same work
options-putty-for-pads = putty for the pads
options-new-pads = new pads
options-has-no-fan-to-be = it has no fan to be quieter
options-db-at-same-temperature =
    { $at_least ->
        [yes] at least { "" }
       *[no] { "" }
    }{ FIX($level, 0) } dB { $quieter ->
        [yes] quieter
       *[no] louder
    } at the same temperature
options-w-at-limit =
    { FIX($watts, 0) } W { $more ->
        [yes] more
       *[no] less
    } at the limit
options-leave-alone = leave it alone
options-clean-only = clean only
options-clean = clean, { $first }{ $with_pads }, { $words }
options-clean-then = clean, { $first }{ $with_pads }, then { $words }
options-undervolt-mv = undervolt { SIG($undervolt_mv) } mV
options-cap-at-w = cap at { SIG($cap_w) } W
options-leaving-alone-missing-from-options = Leaving it alone is missing from the options.
    .remedy = Add the option that changes nothing.
options-stop-stands-in-way-see = A stop stands in the way; see below.
options-costs-nothing-changes-nothing = Costs nothing, changes nothing.
options-too-little-to-be-shown = { CAP($said) }: too little to be shown.
options-lowest-price-what-can-be = the lowest price of what can be shown to help
options-which-does-not-go-on = “{ $name }” is { $words }, which does not go on a die.
    .remedy = { allowed }
options-clean-2 = clean, { $name }{ $with_pads }
options-copper-shim = copper shim
options-new-fan = new fan
options-new-fan-if-it-drags = new fan, if it drags by hand
options-couple-cover = couple the cover
options-heat-does-not-hold-back = Heat does not hold it back, so no service makes it faster.
options-nothing-here-gains-more-than = Nothing here gains more than a Before and an After can show.
options-look-after-months =
    a look after { $life_months } months{ $longest ->
        [yes] , the longest
       *[no] { "" }
    }
options-clean-3 = clean, { $words }
options-clean-couple-cover = clean, { $first }{ $with_pads }, couple the cover
options-most-all = the most of all
options-nothing-else-better-by-more =
    nothing else is better by more than hand and meter vary{ $safer ->
        [yes] , and this has less risk or a lower price
       *[no] { "" }
    }
options-less-than-first = less than the first
options-as-good-as-first-by =
    as good as the first by what hand and meter vary{ $but ->
        [risk] , with more to accept
        [dearer] , and dearer
       *[none] { "" }
    }
prediction-to-mv-seen = 40 to 150 mV is seen.
price-open-and-close = open and close
price-clean-fins-and-fan-alcohol = clean fins and fan, alcohol dries
price-renew-interface = renew the interface
price-chill-lay-burn-in = chill, lay, burn in
price-open-time-then-burn-in = open time, then burn in
price-coat-twice-apply-alloy = coat twice, apply alloy
price-measure-cut-and-place-pads = measure, cut and place pads
price-lay-putty = lay putty
price-fit-and-glue-shim = fit and glue a shim
price-replace-fan = replace the fan
price-undervolt-or-cap-with-its = undervolt or cap, with its own run
price-measure-before-and-after = measure Before and After
price-give-tax-in-per-cent = Give the tax in per cent, 0 when there is none.
price-minutes-hands-without-waiting = Labour in minutes, without waiting.
price-no-task-allowed = “{ $unknown }” is no task; allowed: { $tasks }.
unknowns-width-times-length-die = Width times length of the die.
options-with-pads = , { $filler }
options-dearer = dearer
options-placed = { CAP($said) }: { $why }.
known-there-no-before-log-yet = There is no Before log yet. Take it first: what a service buys follows from where the heat builds up now.
known-room-temperature-before-run-not = The room temperature of the Before run is not noted. Note it in Before.
known-before-log-has-no-power = The Before log has no power channel, so watts and kelvins cannot be told apart. Log power, then come back.
known-before-log-does-not-say = The Before log does not say where it settles. Log it longer, as its page says.
parts-pad-mm = pad, { SIG($thickness_mm) } mm
parts-pad-mm-2 = pad, { $stack } mm
parts-stack = stack of { $sheets }
parts-measure-die-dose-follows-from = Measure the die: the dose follows from its size.
parts-measure-again = { $reason } Measure it again.
parts-three-beads-on-large-parts = Three beads on large parts, two on small ones.
parts-measure-gaps-first = Measure the gaps first.
parts-measure-gap-between-heatsink-and = Measure the gap between heatsink and cover: the pad follows from it.
planning-plan = The plan
planning-job-has-notes-already = The job has { $notes_most } notes already.
    .remedy = Take one off first.
planning-there-no-such-note-on = There is no such note on this job.
    .remedy = Reload the page.
planning-this-option-not-there-any = This option is not there any more.
planning-look-at-options-again-shelf = Look at the options again; the shelf or the findings have changed.
parts-thin-film =
    { CAP($way) }, thin{ $both ->
        [yes] , on die and cold plate: no pool, no bald spot.
       *[no] .
    }
parts-mm = { SIG($mm) } mm
note-line = { $words }: { $text }{ UNIT($unit) }
opening-no-dust =
    { $sealed ->
        [yes] Nobody but the maker had it open and it is too young for dust: there is no dust in it to clean.
       *[other] It is too young for much dust: cleaning buys next to nothing.
    }
opening-held-not-known = Its log does not say whether heat holds it back.
opening-held =
    { $little ->
        [yes] Heat holds it back for { FIX($share, 0) } % of the load: there is no speed to win.
       *[other] Heat holds it back for { FIX($share, 0) } % of the load.
    }
opening-clock =
    { $uneven ->
        [yes] Its clock is uneven: { FIX($clock_mhz, 0) } MHz, nine tenths of it within { FIX($spread_mhz, 0) } MHz.
       *[other] Its clock is even: { FIX($clock_mhz, 0) } MHz, nine tenths of it within { FIX($spread_mhz, 0) } MHz.
    }
opening-frames =
    { $stutters ->
        [yes] { FIX($rate, 1) } frames a second, but the slow one per cent { FIX($slow, 1) }: that is seen as stutter.
       *[other] { FIX($rate, 1) } frames a second, the slow one per cent { FIX($slow, 1) }: it runs evenly.
    }
opening-noise =
    { $loud ->
        [yes] It is loud, { FIX($level_db, 1) } dB: that is for the fan's table and the maker, not for paste.
       *[other] It is not loud: { FIX($level_db, 1) } dB.
    }
opening-interface-stands-out = More of its rise comes within seconds of the load than in its kind: the factory's interface may not sit well.
opening-warranty-runs = The warranty runs: opening it may end it.
options-look-into-fins-first = Look into the fins first: { $said } if they are full of dust, next to nothing if they are clean.
found-remembered = From the last visit, job { $number } of { $day }: dies, metals and gaps as noted then{ $on_dies ->
    [none] {""}
   *[other] ; on the dies { $on_dies }
}.
options-hot = Before, { $sensor } reached { FIX($end, 0) } °C, { FIX($over, 0) } K over its limit of { FIX($limit, 0) } °C: renew what is between it and the cooler.
options-renew = { $answered ->
    [yes] Renew it, in warranty
   *[no] Renew it
}: it lost { FIX($percent, 0) } % since our own service of { FIX($months, 0) } months ago.
