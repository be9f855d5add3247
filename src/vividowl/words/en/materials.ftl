### materials

application-bead-in-middle = a bead in the middle
application-line-along-die = a line along the die
application-film-spread-with-card-or = a film spread with card or gloved finger
application-soft-paste-under-lid-spreads = A soft paste under a lid spreads by itself: a bead is fastest and traps no air.
application-measure-die-with-plastic-calipers = Measure the die with plastic calipers.
application-your-shop-s-own-way = Your shop's own way: { $default }.
application-stiff-paste-flows-little-under = A stiff paste flows little under a lid: a cross reaches the corners.
application-stiff-paste-flows-little = a stiff paste flows little
application-small-bare-die-leaves-no = a small bare die leaves no room for a bald corner
application-spread-more-than-enough-beats = Spread it: { $why }; more than enough beats too little. Warm a stiff paste first.
application-die-times-as-long-as = The die is { FIX($aspect, 1) } times as long as wide: a line along it covers both ends.
application-on-bare-die-spread-film = On a bare die a spread film is the surest: no corner stays bald.
dose-paste-film-has-to-m = A paste film has 20 to 50 µm.
dose-give-share-for = Give a share: 0.3 for 30 %.
dose-one-face-or-both = One face, or both.
dose-pastes-have-to-g-ml = Pastes have 2 to 4 g/mL, gallium alloys about 6.4.
dose-dose-g-tube-holds-g = The dose is { SIG($used_g) } g, the tube holds { SIG($held_g) } g.
    .remedy = Open another lot, or correct what is left by weighing the tube.
kinds-thinnest-film = Thinnest film
kinds-usual-film = Usual film
kinds-thickest-film = Thickest film
kinds-contact-faces = Contact faces
kinds-service-temperature = Service temperature
kinds-amount = of the amount
kinds-own-experience = Own experience
kinds-no-kind-material-allowed = “{ $kind }” is no kind of material; allowed: { $catalogue }.
    .remedy = Choose the nearest kind and enter the product's own values.
kinds-film-m-but-thinnest-and = The film is { SIG($film_um) } µm, but thinnest and thickest are { SIG($film_low_um) } and { SIG($film_high_um) } µm.
    .remedy = Order them: thinnest, usual, thickest.
kinds-has-to = { $words } is { SIG($value) } { $unit }, a { $found_words } has { SIG($low) } to { SIG($high) } { $unit }.
    .remedy = Check unit and digits against the data sheet.
life-dust =
    dust, { $surroundings ->
        [unknown] surroundings not known
        [normal] used in a clean place
        [pets] used where pets live
        [smoke] used where people smoke
       *[dusty] used in a dusty place
    }
life-due-for-look = the { $words } is due for a look
life-own-services = of { $cases } own services with { $words } half lost half of their gain within { FIX($months, 0) } months
life-by-its-drift-so-far = by its drift so far it throttles again then
nesting-cut-in-several-goes = Cut in several goes.
nesting-name-sheet-or-offcut = Name a sheet or an offcut.
nesting-blade-takes-to-mm = A blade takes 0 to 0.3 mm.
nesting-strip = The strip “{ $together }”
nesting-mm-larger-than-any-sheet = { $what } of { SIG($width) } × { SIG($length) } mm is larger than any sheet; the largest is { SIG($width_mm) } × { SIG($length_mm) } mm.
    .remedy = Take a larger sheet, or put two pieces side by side.
nesting-each-side-has-size-above = Each side of a { $kind } has a size above nought.
pads-measure-with-ball-putty-and = Measure it with a ball of putty and calipers.
pads-give-share-for = Give a share: 0.1 for 10 %.
pads-measure-flattened-ball-at-its = Measure the flattened ball at its middle.
pads-imprint-putty-ball = imprint of a putty ball
pads-measure-in-dent-not-at = Measure in the dent, not at the rim.
pads-crushed-old-pad = crushed old pad
pads-too-thick-pressed-by-its = Too thick: pressed by { FIX($compression, 0) } %, its window ends at { FIX($max_compression, 0) } %. It holds the cooler off the die or bulges the cover.
pads-measure-one-gap-at-least = Measure one gap at least.
pads-gap-below-its-own-tolerance = A gap below its own tolerance wants putty.
pads-gaps-run-from-to-mm = The gaps run from { FIX($low, 2) } to { FIX($high, 2) } mm: no pad stays between { FIX($min_compression, 0) } and { FIX($max_compression, 0) } % over all of them. Use putty, or pads of different thickness part by part.
pads-tolerance-mm-as-large-as = The tolerance of { SIG($tolerance_mm) } mm is as large as the gap of { SIG($gap_mm) } mm.
    .remedy = Measure the gap again; below its own tolerance use putty.
pads-largest-compression-must-lie-above = The largest compression, { SIG($max_compression) }, must lie above the least, { SIG($min_compression) }, up to 0.9.
    .remedy = The data sheet of the pad names both; 0.1 to 0.3 is usual.
pads-gap-mm-wider-than-any = The gap of { SIG($gap_mm) } mm is wider than any stack fills; up to { SIG($widest) } mm can be bridged.
    .remedy = Use a copper shim or putty, or check the measurement.
pads-pads-push-back-with-n = The pads push back with { FIX($force, 0) } N, { FIX($share, 0) } % of the clamping force: the die may go short. Take a softer or thinner pad, or putty.
pads-pads-push-back-with-n-2 = The pads push back with { FIX($force, 0) } N, { FIX($share, 0) } % of the clamping force.
pads-one-pad-mm-serves-gaps = One pad of { SIG($thickness_mm) } mm serves gaps of { FIX($low, 2) } to { FIX($high, 2) } mm.
plating-to-dm-usual = 1 to 6 A/dm² is usual.
plating-m-least-that-lasts-m = 10 µm is the least that lasts, 20 µm is better.
plating-kit-baths-common-ones-to = Kit baths 2.5, common ones 10 to 20 µm/h.
plating-electrolytic-plating-needs-current-density = Electrolytic plating needs the current density.
    .remedy = Current over the wetted area, in A/dm².
plating-rate-bath-at-c-not = The rate of the bath at { SIG($temperature_c) } °C is not known; it is from { SIG($electroless_low_c) } to { SIG($electroless_high_c) } °C.
    .remedy = Bring the bath to 70 °C, or enter the rate of the bath itself.
shim-measure-copper-with-calipers = Measure the copper with calipers.
shim-mm-goes-into-gap-with = { SIG($shim_mm) } mm goes into the gap of { $asked } with { FIX($film, 2) } mm of paste on the chip.
shim-shift = { FIX($mm, 1) } mm { $way ->
        [x-plus] to the right
        [x-minus] to the left
        [y-plus] towards you
       *[y-minus] away from you
    } ({ FIX($near, 1) } to { FIX($far, 1) } mm)
shim-shifted = shifted { $shift } from the middle of the package
shim-covers-only-shifted = It covers the die only when it is shifted { $shift } from the middle of the package, as drawn.
shim-stays-on-package-and-covers = It stays on the package and covers the die.
shim-take-mm-next-size-down = Take { SIG($stock) } mm, the next size down.
shim-no-copper-thin-enough-take = No copper is thin enough: take putty.
shim-mm-copper-holds-cooler-off = { SIG($shim_mm) } mm of copper holds the cooler off the die: the gap of { $asked } leaves { FIX($limit, 2) } mm beside two films. { $down }
shim-take-mm = take { SIG($stock) } mm
shim-take-putty = take putty
shim-mm-in-gap-leaves-mm = { SIG($shim_mm) } mm in a gap of { $asked } leaves { FIX($film, 2) } mm of paste on the chip; beyond { SIG($film_most_mm) } mm it creeps out: { $more }.
shim-measure-package-with-calipers = Measure the package with calipers.
shim-measure-with-plastic-calipers = Measure with plastic calipers.
shim-shim-mm-wider-than-package = The shim is { SIG($over) } mm wider than the package, so it can touch the parts around it; allowed is up to { SIG($package_width_mm) } × { SIG($package_length_mm) } mm.
shim-leaves-mm-die-bare = It leaves { FIX($uncovered, 1) } mm of the die bare.
shim-fits-but-bare-parts-stand = It fits, but bare parts stand { FIX($nearest, 1) } mm from where the shim lies: insulate them, and glue the shim to the heatsink so that it cannot wander.
shim-die-mm-mm-off-middle = A die of { SIG($die) } mm, { SIG($offset) } mm off the middle, reaches beyond its package of { SIG($package) } mm.
    .remedy = Measure from the package's edges to the die's edges.
kinds-conductivity = Conductivity
kinds-density = Density
kinds-life = Life
kinds-months = months
kinds-waste = Waste
kinds-times = times
application-cross = a cross
shim-gap = { FIX($gap_mm, 2) } ± { FIX($tolerance_mm, 2) } mm
