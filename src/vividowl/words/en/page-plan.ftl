### page-plan

cut-panel-cutting = Cutting
cut-panel-from = From
cut-panel-sheets-offcuts = { $name }: { $remaining } sheets, { $count } offcuts
cut-panel-blade-takes = The blade takes
cut-panel-lay-pieces-out = Lay the pieces out
cut-panel-no-sheet-this-kind = No sheet of this kind is on the shelf.
cut-panel-add-one = Add one
cut-panel-pieces-find-no-room = { $count } pieces find no room: { $join }
cut-panel-add-sheet-on-shelf = Add a sheet on the Shelf, or choose another product.
cut-panel-what-touched-becomes-no = { $waste_share } % of what is touched becomes no piece; what lies inside the dashed line stays as an offcut.
cut-panel-cut-and-book = Cut it and book it
cut-panel-cut-from = Cut from { $product }
cut-panel-at = { $to_upper_case } at 1:1
cut-panel-take-cut-back = Take the cut back
found-heat-glue = heat glue
found-paste-both-faces = paste, both faces
found-with-current = with current
found-customer-wants-above-all = The customer wants it, above all
found-what-known-so-far = What is known so far
found-processor-die-width = Processor die, width
found-processor-die-length = Processor die, length
found-graphics-die-width = Graphics die, width
found-graphics-die-length = Graphics die, length
found-metals-and-bare-parts = Metals and bare parts, for alloy
found-gaps-pads-and-putty =
    Gaps, pads and putty{ $count ->
        [yes] { "" } ({ $count_2 })
       *[no] { "" }
    }
found-copper-shim-on-small =
    Copper shim on a small chip{ $shim ->
        [yes] { "" } (measured)
       *[no] { "" }
    }
found-held-to-heatsink-by = Held to the heatsink by
found-chip-drops-by-k = The chip drops by { $shim_drop_k } K.
found-forget-shim = Forget the shim
found-thick-pad-on-small = A thick pad on a small chip costs tens of kelvins. Measure package, die and pad to see how many.
found-measure-for-shim = Measure for a shim
found-coupling-to-cover-measured =
    Coupling to the cover{ $cover ->
        [yes] { "" } (measured)
       *[no] { "" }
    }
found-cover = Cover
found-forget-cover = Forget the cover
found-pad-between-heatsink-and = A pad between heatsink and bottom cover lets a thin machine hold more watts, and warms the skin. Measure both to see how much.
found-measure-for-cover = Measure for the cover
found-tuning-and-hazards = Tuning and hazards
found-undervolt-by = Undervolt by
found-power-cap = Power cap
found-carried-and-shaken = Carried and shaken
found-mains-supply-would-be = The mains supply would be opened
found-cold-plate-would-be = The cold plate would be plated here
found-bath = Bath
found-rate-belongs-to-bath = The rate belongs to the bath: its sheet or a measured coupon beats the usual 2.5 µm/h.
gap-rows-reading = Reading
gap-rows-part-width = Part, width
gap-rows-part-length = Part, length
gap-rows-how-many = How many
gap-rows-gap = Gap { $i }
gap-rows-under-cooler = Under the cooler
gap-rows-read-from = Read from
gap-rows-may-be-off-by = It may be off by
gap-rows-one-strip-for-all = One strip for all of them
gap-rows-measure-again = Measure again
gap-rows-putty = Putty
gap-rows-pad-mm = Pad { $join } mm
gap-rows-forget-gap = Forget gap { $i }
gap-rows-add-gap = Add a gap
option-detail-to = { $median } ({ $low } to { $high })
option-detail-die-at-same-work = Die at the same work
option-detail-cooler-by = Cooler by
option-detail-watts-at-limit = Watts at the limit
option-detail-not-known-without-limit = not known without a limit
option-detail-noise-at-same-temperature = Noise at the same temperature
option-detail-at-least = at least { "" }
option-detail-no-fan = no fan
option-detail-look-again-after = Next service
option-detail-takes = Takes
option-detail-min-hands-min-waiting = { $hands_min } min labour, { $wait_min } min waiting
option-detail-own-services = Own services with it
option-detail-own-gain =
    { $median } K/W less ({ $low } to { $high }) in { $n }{ $promised ->
        [0] {""}
       *[other] ; { $kept } of { $promised } promises kept
    }
option-detail-price = Price
option-detail-some-parts-not-priced = , some parts not priced
option-detail-small-chip = The small chip
option-detail-k-cooler = { $chip_drop_k } K cooler
option-detail-c-to-limit-c =
    { $skin_c } °C ({ $low_c } to { $high_c }), limit { $limit_c } °C{ $battery_c ->
        [none] { "" }
       *[other] ; at the battery up to { $battery_c } °C
    }
option-detail-what-goes-where = What goes where
option-detail-put-decision-back = Undo choice
option-detail-leave-alone = Leave it alone
option-detail-take-this-plan = Take this plan
option-detail-stop-stands-in-way = A stop stands in the way.
option-scale-not-known = not known
option-scale-to = { $median } { $unit }, { $low } to { $high }
option-scale-to-accept = { $open } to accept
option-scale-taken = taken
option-scale-min-hands = { $hands_min } min labour
option-scale-now = now
option-scale-cannot-be-shown = cannot be shown
option-scale-interval-with-its-median = 80 % interval with its median
option-scale-measured-after = measured After
option-scale-judged-against = Judged against: { $reference_words }
part-line-amount-not-known = amount not known
part-line-lot = , lot { $lot }
part-line-stay = , { $left } { $unit } left
plan-page-take-plan-that-shown = Take the plan that is shown, then go on
plan-page-w-at-limit = W at the limit
plan-page-c-at-work-before = °C at the work of Before
plan-page-to = { $median } { $words } ({ $low } to { $high })
plan-page-plan-what-to-do = Plan: what to do, and what it buys
plan-page-load-newer-state = Load the newer state
plan-page-opening-leave = Leave it closed: nothing measured so far asks for opening a new machine
plan-page-opening-maker = Do not open it: take it back to the maker first
plan-page-opening-open = It may be opened: something is not as it should be
plan-page-taken = Taken: { $words }
plan-page-promised-for = { $by }, { $at }. Promised: { $chosen }, for { $total_cents }.
plan-page-after-measured-at-fan =
    After measured { $plan } at the fan speed of Before: { $inside ->
        [yes] inside the interval.
       *[no] outside the interval.
    }
plan-page-nothing-can-be-predicted = Nothing can be predicted yet
plan-page-to-before = To Before
plan-page-worked-out-for-this = Worked out for this job
plan-page-take-off = Take { $title } off
plan-page-go-on-to = Go on to { $next_name }
plan-page-go-on-to-hand = Go on to the hand-over
plan-page-working-out-options = Working out the options …
step-list-step-by-step-waiting = { $words }, step by step, { $wait_min } of waiting
step-list-wait = wait { $wait_min }
plan-form-package-width = Package, width
plan-form-package-length = Package, length
plan-form-die-in-width = Die in it, width
plan-form-die-in-length = Die in it, length
plan-form-die-off-middle-across = Die off the middle, across
plan-form-die-off-middle-along = Die off the middle, along
plan-form-bare-parts-begin-after = Bare parts begin after
plan-form-heat-chip = Heat of the chip
plan-form-old-pad-where-pressed = Old pad, where it is pressed
plan-form-its-conductivity = Its conductivity
plan-form-shim-width = Shim, width
plan-form-shim-length = Shim, length
plan-form-shim-thickness = Shim, thickness
plan-form-cover-thickness = Cover, thickness
plan-form-cover-width = Cover, width
plan-form-cover-length = Cover, length
plan-form-pad-width = Pad, width
plan-form-pad-length = Pad, length
plan-form-gap-to-closed-cover = Gap to the closed cover
plan-form-differs-by = It differs by
plan-form-battery-begins-after = Battery begins after
plan-form-wetted-area-both-sides = Wetted area, both sides
plan-form-nickel-wanted = Nickel wanted
plan-form-its-rate-by-sheet = Its rate, by sheet or coupon
plan-form-current-density = Current density
plan-form-no-number = “{ $value }” is no number.
plan-form-both-sides-or-none = Both sides, or none.
plan-form-needed = Needed.
scale-change-level-at-temperature = Change of level at the temperature of today
scale-watts-todays-work-that = Watts of today's work that it holds at its limit, in the reference room
scale-die-temperature-at-work = Die temperature at the work and fan speed of Before
plan-words-cooler = Cooler
plan-words-quieter = Quieter
plan-words-faster = Faster
plan-words-cheaper = Cheaper
plan-words-longest-rest = Longest service interval
plan-words-not-looked-yet = Not looked yet
plan-words-old-interface = Old interface
plan-words-sound = Sound
plan-words-dry-chalk = Dry, chalk
plan-words-pumped-out = Pumped out
plan-words-does-not-touch = Does not touch
plan-words-phase-change-still-liquid = Phase change, still liquid
plan-words-alloy = Alloy
plan-words-dust-in-fins = Dust in the fins
plan-words-none = None
plan-words-light = Light
plan-words-felt-blocked = Felt, blocked
plan-words-fan-by-hand = Fan by hand
plan-words-spins-freely = Spins freely
plan-words-drags = Drags
plan-words-old-pads = Old pads
plan-words-sound-may-stay = Sound, may stay
plan-words-oily-crumbling-torn = Oily, crumbling, torn
plan-words-gaps-get = Gaps get
plan-words-pads = Pads
plan-words-cold-plate = Cold plate
plan-words-bare-copper = Bare copper
plan-words-nickel-plated = Nickel-plated
plan-words-aluminium = Aluminium
plan-words-aluminium-beside = Aluminium beside it
plan-words-no = No
plan-words-yes = Yes
plan-words-bare-parts-by-die = Bare parts by the die
plan-words-they-will-be = They will be
plan-words-left-bare = Left bare
plan-words-coated-twice = Coated twice
plan-words-taped = Taped
plan-words-lacquered = Lacquered
plan-words-used-on = Used on
plan-words-lap = The lap
plan-words-in-hand = In the hand
plan-words-memory = Memory
plan-words-regulators = Regulators
plan-words-inductors = Inductors
plan-words-other = Other
plan-words-putty-ball-pressed = Putty ball, pressed
plan-words-measured-gap = Measured gap
plan-words-old-pad-crushed = Old pad, crushed
plan-words-on-shelf = on the shelf
plan-words-not-on-shelf = not on the shelf
plan-words-needs-nothing = needs nothing
cut-panel-cut-and-booked-offcut = Cut and booked. The offcut is on the shelf.
cut-panel-taken-back-sheet-and = Taken back: sheet and offcut lie on the shelf as before.
plan-page-decision-open-again = The decision is open again.
plan-page-taken-what-was-promised = Taken. What was promised is kept with it.
plan-page-taken-off-plan = Taken off the plan.
option-scale-free = free
option-scale-stopped = stopped
