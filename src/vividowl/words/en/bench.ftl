### Tables of the bench


## What is seen: words, how to know it, what follows

sight-fins-clear = Clear
    .tells = light shines through all fins
sight-fins-dusty = Dusty
    .tells = a thin grey coat, most fins open
    .follows = Clean them; dust alone costs kelvins.
sight-fins-felt = Felted
    .tells = a mat between fan and fins
    .follows = The mat is the culprit as likely as the paste; both are renewed.
sight-fins-bent = Bent
    .tells = fins pressed together
    .follows = Straighten them with a plastic card; air has no way through.
sight-fan-free = Turns freely
    .tells = no scrape, no play in the bearing, starts at low speed
sight-fan-drags = Drags
    .tells = scrapes or grinds by hand, or does not start at low speed; that it stops at once means little, magnets hold it
    .follows = Replace the fan; paste will not cure it.
sight-fan-wobbles = Wobbles
    .tells = the hub tilts, blades touch
    .follows = The bearing is gone: replace the fan.
sight-contact-full = Full
    .tells = an even print over the whole die
sight-contact-one_sided = One-sided
    .tells = thick at one edge, bare at the other
    .follows = The cooler sat askew: look for a pad too thick, a bent frame, a loose screw.
sight-contact-dry_patch = Dry patch
    .tells = a bare spot, paste around it
    .follows = Too little or badly spread: spread a film this time.
sight-contact-pumped_out = Pumped out
    .tells = thin in the middle, a rim outside
    .follows = A soft paste on a bare die: take a stiff paste or a phase-change sheet.
sight-contact-chalk = Chalk
    .tells = crumbles under the swab
    .follows = Dried out: renewing it is worth tens of kelvins.
sight-contact-still_liquid = Still liquid phase change
    .tells = runny long after it was laid
    .follows = It never cured; plan a sheet, or let the solvent leave this time.
sight-contact-alloyed = Alloyed
    .tells = silvery stain in the copper
    .follows = Bare copper takes alloy up; it looks dried out and mostly works as before. Check yearly.
sight-plate-copper = Copper
    .tells = reddish
sight-plate-nickel = Nickel-plated
    .tells = silvery, hard, even: by the maker's word, since plated aluminium looks alike
sight-plate-aluminium = Aluminium
    .tells = light grey, soft
    .follows = Aluminium seen: alloy barred.
sight-surroundings-no_aluminium = No aluminium near
    .tells = frame and fins beside the die are copper or steel
sight-surroundings-aluminium = Aluminium beside the contact
    .tells = frame or fins within reach of a drop
    .follows = Aluminium seen: alloy barred.
sight-surroundings-parts_bare = Bare parts round the die
    .tells = small parts without coat, tape or foam
    .follows = Insulate them before alloy.
sight-surroundings-coat_whole = Old coat whole
    .tells = a film over the small parts
sight-surroundings-parts_none = No bare parts
    .tells = nothing conducts beside the die
sight-pads-sound = Sound
    .tells = whole, springy, dry
    .follows = They may stay.
sight-pads-oily = Oily
    .tells = silicone oil on board and pad
    .follows = Replace them; wipe the oil off.
sight-pads-torn = Torn
    .tells = pieces missing or crumbling
    .follows = Replace them: a torn pad does not touch.
sight-corrosion-none = None
    .tells = clean metal and board
sight-corrosion-traces = Traces
    .tells = white or green spots
    .follows = Clean with alcohol, look under magnification before power.
sight-corrosion-eaten = Eaten
    .tells = pits, lifted traces
    .follows = Stop and talk to the owner: it may not come up again.
sight-battery-flat = Flat
    .tells = sits even in its frame
sight-battery-swollen = Swollen
    .tells = bulges, lifts cover or pad
    .follows = Stop. Isolate it on a fireproof surface; dispose of it by local rules.
sight-battery-leaking = Leaking
    .tells = wet, sweet smell
    .follows = Stop. Ventilate, gloves, isolate it; dispose by local rules.

## Parts to look at

part-fins = Fins
part-fan = Fan
part-contact = Contact print
part-plate = Cold plate
part-surroundings = Round the die
part-pads = Pads
part-corrosion = Corrosion
part-battery = Battery

## Mishaps: what to do, and what is confirmed before the job closes

mishap-spill_paste = Spilt: paste that does not conduct
    .step-1 = Leave it where it is until the cooler is off the bench.
    .step-2 = Lift most of it with a plastic card.
    .step-3 = Wipe the rest with alcohol on a swab, from outside in.
    .step-4 = It is a mess, not a danger.
mishap-spill_alloy = Spilt: alloy, or anything that conducts
    .step-1 = Stop. No power, no battery.
    .step-2 = Lift the drop with the syringe; do not smear it.
    .step-3 = Wipe with alcohol, one way, a fresh swab each time.
    .step-4 = Half an hour of patience: it creeps out of gaps.
    .step-5 = Inspect under magnification, tilted, with light from the side: plugs and legs of parts first. What ran under a chip cannot be seen: say so, and leave it to someone with the equipment.
    .check = Inspected under magnification: no alloy on board, plugs or legs, and none ran under a chip.
mishap-broken_clip = Clip broken
    .step-1 = Take the piece out of the case, it rattles into a fan.
    .step-2 = Note where it was; look whether the cover still holds.
    .step-3 = Tell the owner, offer a new cover.
mishap-torn_ribbon = Ribbon torn
    .step-1 = Stop pulling. Leave the lock open.
    .step-2 = Photograph plug and ribbon.
    .step-3 = Find out what it feeds; order a new one.
    .step-4 = The place stays an open plug until it is replaced.
    .check = The ribbon is replaced and what it feeds works.
mishap-stripped_screw = Screw head stripped
    .step-1 = Stop turning. Press harder with a fresh bit of the right size.
    .step-2 = Rubber band or a drop of valve paste under the bit.
    .step-3 = Still stuck: an extractor bit, turned by hand. No drill and no wheel over a board.
    .step-4 = Replace the screw by one of the same class.
    .last-resort = Outer screw, battery plug off: cut a slot with a fine wheel. Goggles on, openings taped, chips sucked away.
mishap-lost_screw = Screw lost
    .step-1 = Do not power: it may lie on the board.
    .step-2 = Turn the device over a towel, look with a magnet on a stick outside the fan.
    .step-3 = Sweep the bench; look under the strap and the mat.
    .step-4 = Replace it by one of the same class, and note it.
    .check = The screw is found, or the board is searched and it is not inside.
mishap-touched_film = Film or clean face touched
    .step-1 = A sheet: take the spare piece; the touched one does not wet.
    .step-2 = A die or plate: wipe with alcohol once more, let it dry.
mishap-too_much_paste = Too much paste
    .step-1 = Do not smear it around.
    .step-2 = Lift the cooler straight, take the rim off with a card, look at the print.
    .step-3 = Paste that does not conduct may stay beside the die; alloy may not.
mishap-other = Something else
    .step-1 = Say what happened; photograph it.

## First power-on: what is looked at, and what is likely when it fails

power-boot = Boots within 40 s
    .cause-1 = The battery plug does not sit.
    .cause-2 = A memory module or drive is not seated.
    .cause-3 = A short: switch off, look for metal or alloy.
    .cause-4 = After the battery was off it may train its memory, and some stay dark without the charger: connect it and wait two minutes before anything is opened again.
power-fans = Fans turn
    .cause-1 = The fan plug does not sit.
    .cause-2 = A lead or a film touches the blades.
    .cause-3 = The fan was blown at without holding it.
power-keyboard = Keyboard types
    .cause-1 = The keyboard's ribbon is not locked.
    .cause-2 = It sits askew in its lock.
power-pad = Touchpad moves
    .cause-1 = The pad's ribbon is not locked.
power-controls = Sticks and buttons answer
    .cause-1 = A ribbon of the controls is not locked.
    .cause-2 = A button rubber sits askew.
power-picture = Picture and sound come out
    .cause-1 = The cable to the screen does not sit.
    .cause-2 = A short: switch off, look for metal or alloy.
power-drive = Disc or card is read
    .cause-1 = The drive's ribbon is not locked.
    .cause-2 = The drive's cable is off its plug.
power-charging = It charges
    .cause-1 = The battery plug does not sit.
    .cause-2 = The charging socket's cable is off its plug.
power-wireless = Wireless finds networks
    .cause-1 = An antenna is off its plug.
    .cause-2 = The card is not screwed down.
power-display = Display is whole
    .cause-1 = The display cable does not sit.
    .cause-2 = The lid's sensor sees a magnet on the bench.
power-temperatures = Temperatures are sane
    .cause-1 = The second film is still on.
    .cause-2 = The cooler does not sit flat: a pad too thick, a screw in the wrong place.
    .cause-3 = Nothing lies on the die.
    .cause-4 = The fan does not turn.

## Waits

wait-coat = Coat dries
    .early-1 = Touch-dry, by its data sheet
    .early-2 = Cured with warm air, by its data sheet
wait-fridge = Sheet chills in the fridge
    .early-1 = Was in the fridge before
    .early-2 = From the freezer instead
    .early-3 = Cold enough: it cuts clean
wait-alcohol = Alcohol dries
    .early-1 = Looked: the surface is dry
    .early-2 = Dried with warm air
wait-glue = Glue sets
    .early-1 = Another glue: it sets faster by its data sheet
    .early-2 = Pushed at the edge: it holds
wait-baseline = Baseline runs
    .early-1 = The curve is flat
    .early-2 = The log has all it needs
wait-burn_in = Burn-in runs
    .early-1 = Heat cycles were run elsewhere
    .early-2 = The curve no longer falls
wait-load_cpu = Processor alone, first of three loads
    .early-1 = The curve is flat
wait-load_gpu = Graphics alone, second of three loads
    .early-1 = The curve is flat
wait-load_both = Both chips, third of three loads
    .early-1 = The curve is flat
wait-cool_down = It cools down
    .early-1 = Idle is back
wait-solvent_hot = Solvent leaves, hot
    .early-1 = Matt and dry all over, by its data sheet
wait-solvent = Solvent leaves, open to the air
    .early-1 = Matt and dry all over, by its data sheet
    .early-2 = On the removed cooler, warmed by its data sheet
wait-activator = Activator works
    .early-1 = The surface is even, by its data sheet
wait-plating = Nickel grows
    .early-1 = The coupon has its layer
    .early-2 = The bath was stopped: see the bath log
wait-alloy_spill = Patience after a spill
    .early-1 = Searched under magnification: nothing left
wait-other = Wait
    .early-1 = Started late: it was running before

## Rules of order: why, what to do, what a breach asks for

interlock-power_first = It is not shut down and unplugged yet.
    .remedy = Shut it down, unplug everything, put the strap on.
    .check = Shut down and unplug now. Look where the tool was for marks of a short, and smell.
interlock-cooler_on_battery = The battery is still connected; the cooler is not lifted while it is.
    .remedy = Take the battery plug off first.
    .check = Take the battery off now. Look round the die and the cooler's edge for bridged parts before any power.
interlock-battery_first = The battery is still connected.
    .remedy = Take the battery plug off before anything else is touched.
    .check = Take the battery off now. Look at the plugs and parts that were touched for marks of a short.
interlock-lift_first = The cooler is not marked as lifted.
    .remedy = Lift the cooler first.
    .check = Say how the face was reached, and look at the print at the next opening.
interlock-clean_first = Die and plate are not marked as clean since the cooler was lifted.
    .remedy = Wipe dry, then with alcohol, and let it dry.
    .check = Lift what was put on, look at the print, clean, and put it on anew if residue shows.
interlock-clean_between = Something lies on this die already.
    .remedy = Clean it off first: two interfaces do not mix.
    .check = Lift the cooler, look at the print, and clean both off.
interlock-clean_between_gpu = Something lies on the graphics die already.
    .remedy = Clean it off first: two interfaces do not mix.
    .check = Lift the cooler, look at the print, and clean both off.
interlock-second_coat = The first layer of the coat is not on yet.
    .remedy = Coat twice, 15 min apart: one layer has pinholes.
    .check = Look under magnification for pinholes; coat once more where one shows.
interlock-coat_first = The parts round the die are not insulated yet.
    .remedy = Coat, tape or lacquer them as planned, then look.
    .check = Insulate them before any alloy is opened.
interlock-insulate_before_alloy = The parts around the die are not confirmed as insulated since the last cleaning.
    .remedy = Check with a loupe that coat, tape or foam are whole after cleaning; mend them, then confirm. Alloy is on the board already? Report it as a problem, and take it back with the syringe.
    .check = Look under magnification for alloy on bare parts; take it back with the syringe before any power.
interlock-no_alloy_near_aluminium = Aluminium was seen at the contact or beside it: alloy destroys it.
    .remedy = Take paste or a phase-change sheet in Plan, then make the list anew.
    .check = Wipe all alloy off and look at the aluminium for grey, crumbling spots.
interlock-second_film = The second film is still on.
    .remedy = Peel the second film and lay it on the tray where you see it.
    .check = Lift the cooler and look: a film left on ruins the result.
interlock-interface_first = Nothing new lies on the die: a cooler never goes back on a bare die.
    .remedy = Put the interface on as planned. Seated already? Lift it again, and report it as a problem.
    .check = Lift the cooler and look whether the die is covered.
interlock-interface_first_gpu = Nothing new lies on the graphics die: a cooler never goes back on a bare die.
    .remedy = Put the interface on both dies. Seated already? Lift it again, and report it as a problem.
    .check = Lift the cooler and look whether both dies are covered.
interlock-inspect_alloy = The alloy was not inspected under magnification since it was put on.
    .remedy = Look all round the die with the loupe: no bead on board, plugs or legs of parts.
    .check = Lift the cooler and inspect under magnification before any power.
interlock-look_before_closing = Nobody has looked yet whether every face under the cooler is covered.
    .remedy = Look once more: each die covered, each pad whole and in its place, no film left on.
    .check = Lift the cooler and look at every face.
interlock-fan_free = The fan is not confirmed to turn freely.
    .remedy = Turn it by hand; replace it if it drags.
    .check = Turn the fan by hand with the power off, and listen at the first power-on.
interlock-plugs_before_battery = Something is still unplugged; the battery goes on last.
    .remedy = Plug everything else in first.
    .check = Take the battery off, plug the rest in, look at each plug, then the battery.
interlock-battery_last = The battery is connected already; it goes on last.
    .remedy = Take the battery off, do this, then put it on again.
    .check = Take the battery off, look at the plug or part that was set under voltage, then put the battery on again.
interlock-cooler_before_power = The cooler is off: a die without its cooler is destroyed in seconds.
    .remedy = Seat it and tighten its screws in order.
    .check = Switch off at once. Look at its temperature and for errors.
interlock-interface_before_power = The cooler was lifted and nothing new lies on the die.
    .remedy = Lift the cooler, clean both faces, put the interface on, seat it again.
    .check = Switch off at once. Lift the cooler and cover the die.
interlock-interface_before_power_gpu = The cooler was lifted and nothing new lies on the graphics die.
    .remedy = Lift the cooler, clean both faces, put the interface on, seat it again.
    .check = Switch off at once. Lift the cooler and cover the die.
interlock-battery_before_power = The battery is not connected.
    .remedy = Put the battery on, last of all plugs.
    .check = Shut down, put the battery on, and switch on again.
interlock-plugs_before_power = Something is still unplugged.
    .remedy = Plug it in before the first power-on.
    .check = Shut down, plug it in, and switch on again.
interlock-power_before_last_screws = The first power-on is not done; the last screws wait for it.
    .remedy = Switch on with few screws in: boot, fans, keyboard, pad, wireless, display, temperatures.
    .check = Switch on now and go through the first power-on; open again if something is missing.
screws-cover = cover
screws-cooler = cooler
screws-fan = fan
screws-board = board
screws-other = other parts
plug-battery = battery
plug-fan = fan
plug-antenna = antenna
plug-display = display cable
plug-ribbon = ribbon
plug-drive = drive cable
plug-speaker = speaker
plug-other = other plug
pad-memory = memory
pad-regulators = regulators
pad-inductors = inductors
pad-other = other part
drive-cross = cross-head
drive-five_lobe = five-lobe
drive-six_lobe = six-lobe
drive-hex = hex
drive-slot = slot
drive-unknown = drive not known
head-pan = pan head
head-flat = countersunk
head-wide = wide thin head
head-spring = spring screw with shoulder
head-unknown = head not known
screw-class =
    { $length_mm ->
        [none] length not known
       *[other] { SIG($length_mm) } mm
    }, { $drive }, { $head }
fasteners-first-round =
    First round: { $percent ->
        [50] half the turns
       *[other] { $percent } % of the turns
    } each, in order
fasteners-place-inside-outline = Place it inside the outline.
fasteners-neither-screw-nor-plug = “{ $kind }” is neither screw, plug nor pad.
    .remedy = Allowed: screw, plug, pad.
fasteners-measure-from-below-head-or = Measure from below the head, or leave it empty.
fasteners-number-printed-beside-screw = The number printed beside the screw.
fasteners-no-school-tightening-allowed-or = { $school_percent } % is no school of tightening; allowed: 50 or 70.
    .remedy = Choose 50 % or 70 %.
fasteners-second-round-fully-same-order = Second round: fully, same order
fasteners-gap-by-putty-or-pad = Measure it, or press a ball of putty flat and read that.
decide-pad-is-laid-by-its-step = { $places } is neither in nor out: its step lays it.
    .remedy = Tell the step that lays it.
first-power-not-looked-at = Not looked at: { $missing }.
    .remedy = Look at these three at least, or say that the device has no such part.
first-power-figures = The { $holds }
first-power-still-unplugged = { $id } is still unplugged.
first-power-was-unplugged-in-step-look = { $id } was unplugged in step { $p_id }: look whether it sits.
first-power-second-film-was-left-on = The second film was left on when the cooler was closed.
model-sheet-this-no-model-sheet-version = This is no model sheet of version { $version }.
    .remedy = It needs “format”: “{ $format }” and “version”: { $version }.
model-sheet-model-sheet-knows-no = A model sheet knows no “{ $odd }”.
    .remedy = { stored-known }
model-sheet-model-has-no-name = The model has no name.
    .remedy = Give its name.
model-sheet-two-places-have-same-id = Two places have the same id.
    .remedy = { model-sheet-give-each-its-own }
model-sheet-two-steps-have-same-id = Two steps have the same id.
    .remedy = { model-sheet-give-each-its-own }
model-sheet-order-no-list-step-ids = “order” is no list of step ids.
    .remedy = Export the model again and import that file.
model-sheet-no-text-up-to-characters = “{ $name }” is no text of up to { $most } characters.
    .remedy = Shorten the text.
model-sheet-no-list-up-to-entries = “{ $name }” is no list of up to { $most } entries.
    .remedy = Export the model again and import that file.
model-sheet-no-pair-width-and-length = “{ $name }” is no pair of width and length in mm.
    .remedy = Enter width and length in millimetres.
model-sheet-give-each-its-own = Give each its own.
times-steps-done-one-after-other = Steps are done one after the other.
waits-test-outlet = test outlet
waits-oven = oven
waits-as-maker-says = { $words }: as the maker says.
low = { LOW($words) }
effects-plan-has-changed-since-list = The plan has changed since the list was made: note by hand in Fit what was put on.
effects-noted-book-its-cut-in = { $words } noted; book its cut in Fit.
effects-note-in-plan-then-go = { $remedy } Note it in Plan, then go on.
effects-not-noted-as-fitted-note = Not noted as fitted: { $said } Note it by hand in Fit.
photos-this-photo-has-not-arrived = This photo has not arrived yet.
    .remedy = Send the photo first.
photos-job-has-photos-already = The job has { $photos_most } photos already.
    .remedy = Take off what is not needed.
photos-photo = The photo
photos-this-id-belongs-to-photo = This id belongs to a photo of another job.
    .remedy = Give it a new id.
store-count-and-close = Count, and close
story-first-power-on-before-last =
    First power-on before the last screws: { $said }{ $boot_s ->
        [none] { "" }
       *[other] ; booted in { SIG($boot_s) } s
    }.
story-stays-out = Stays out: { $places } ({ $words }).
story-mapped-screws-and-plugs-back = { $out } of { $places } mapped screws and plugs are back.
story-checks-fine = { $get } checks fine
story-seen-on-opening = Seen on opening: { $seen }.
story-not-looked-at-or-not = Not looked at, or not noted: { $unseen }.
story-worked-by-list-steps-done = Worked by a list of { $steps } steps, { $done } done.
story-bench-work-not-closed-steps = Bench work not closed: { $done } of { $steps } steps done.
story-out-order = Out of order: { $reason } “{ $words }” ({ $by }).
story-screws-not-mapped-nobody-counted = Screws not mapped: nobody counted them.
story-not-checked = not checked: { $by }
story-no-such-part = no such part: { $by }
story-planned-not-weighed = Planned, not weighed: { $planned }.
work-event-with-this-id-there = An event with this id is there already, elsewhere.
work-make-new-ids = Make new ids.
work-was-decided-to-leave-device = It was decided to leave the device alone.
    .remedy = Take another option in Plan, or hand it back.
work-nothing-decided-yet = Nothing is decided yet.
    .remedy = Take an option in Plan; cleaning alone is one.
work-job-was-handed-over-and = Job { $number } was handed over and is closed; nothing of it was taken.
    .remedy = It stays on this tablet. Take the hand-over back to send it, or put it aside.
work-event-this-tablet-came-next = Event { $turn } of this tablet came, { $next } is next.
work-send-from-on = Send from { $turn } on.
work-list-begun-and-made-anew = A list is begun and made anew by the server.
    .remedy = Choose an option in Plan; the list is made from it.
work-job-stopped-battery-swollen = The job is stopped: the battery is swollen.
    .remedy = Isolate the battery. When it is replaced, clear the mark in Intake.
story-sight = { LOW($part) } { LOW($seen) }
story-skipped = Skipped in { $stage }: step { $number } ({ $words }).
story-mishap =
    { $what }{ $words ->
        [none] { "" }
       *[other] : “{ $words }”
    } ({ $by }).
story-measured = { $words }: { SIG($value) } { $unit } ({ $what }).
story-fails = fails: { $by }
story-checked = { $text } Checked: { $checked }.
event-begun = beginning the list
event-replanned = making the list anew
event-step_done = step
event-step_skipped = skipped step
event-gone_back = going back
event-step_added = added step
event-step_moved = moved step
event-place_added = place on the map
event-place_changed = change of a place
event-place_removed = wiping a place off
event-place_out = taking out
event-place_in = putting in
event-outline = outline of the map
event-leftover = what is left over
event-explained = explanation
event-found = finding
event-wait_started = start of a wait
event-wait_ended = end of a wait
event-mishap = problem
event-checked = check
event-power_on = first power-on
event-photo = photo
event-attempt = another attempt
event-note = note
event-closed = closing
event-of-step = { $event } { $number }
event-of-place = { $event }: { $place }
amount-pieces =
    { $count ->
        [one] { $count } piece
       *[other] { $count } pieces
    }{ $sized ->
        [yes] { "" } of { SIG($width_mm) } × { SIG($length_mm) } mm
       *[no] { "" }
    }{ $spare ->
        [0] { "" }
       *[other] , { $spare } more as a spare
    }
part-with-lot =
    { $words }{ $lot ->
        [none] { "" }
       *[other] , lot { $lot }
    }
gate-accepted = { $reason } Accepted: { $words }.
