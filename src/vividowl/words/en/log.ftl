### log

close-to-check-after-breach = To check after a breach: { $reason }
close-to-check-after-mishap = To check after a problem: { $words }.
close-step-open = Step { $i } is open: { $text }
close-do-or-skip-with-reason = Do it, or skip it with a reason.
close-waits = { $words }: { $minutes } min to go.
    .remedy = Do something else, or end the wait early with a reason.
close-wait-or-end-early-with = Wait, or end it early with a reason.
close-list-has-not-begun = The list has not begun.
close-begin-in-open = Begin it in Open.
close-left-over-in-tray =
    { $count ->
        [one] One screw is
       *[other] { $count } screws are
    } left over in the tray.
close-find-its-place-or-explain = Find its place, or explain where it comes from.
close-battery-not-marked-as-connected = The battery is not marked as connected.
close-battery-on-last-all-plugs = Battery on, last of all plugs.
close-first-power-on-not-done = The first power-on is not done.
close-switch-on-and-look-at = Switch on and look at each check.
close-open = The { $places } is open.
close-plug-in = Plug it in.
close-missing = The { $words } is missing.
close-put-in-or-explain-why = Put it in, or explain why it stays out.
decide-reason = The reason
decide-this-model-has-no-such = this model has no such part.
decide-thread-torn-told-owner = thread torn, told the owner.
decide-check = The check
decide-looked-with-loupe-nothing-bridged = looked with the loupe, nothing bridged.
decide-note = The note
decide-clip-at-left-corner-weak = clip at the left corner is weak.
decide-list-this-job-has-not = The list of this job has not begun.
    .remedy = { close-begin-in-open }
decide-bench-work-this-job-closed = The bench work of this job is closed.
    .remedy = Take the closing back to go on.
decide-list-this-job-has-begun = The list of this job has begun already.
    .remedy = Go on with it.
decide-list-has-up-to-steps = A list has up to { $steps_most } steps, each with its own id.
    .remedy = Remove steps that this job does not need.
decide-there-no-step-in-this = There is no step “{ $name }” in this list.
    .remedy = Load the newer list.
decide-step-already = Step { $i } is { $how } already.
    .remedy = Go on with the next one, or take the last step back.
decide-first-power-on-gone-through = The first power-on is gone through check by check.
    .remedy = Look at each: boot, fans, keyboard, pad, wireless, display, temperatures.
decide-step-that-person-adds-marks = A step that a person adds marks nothing for the rules.
    .remedy = Leave its acts empty; what it does stands in its words.
decide-step-with-this-id-in = A step with this id is in the list already.
    .remedy = Give the new step an id of its own.
decide-step-does-not-follow-itself = A step does not follow itself.
    .remedy = Name the step that it follows.
decide-in-this-order-rule-broken = In this order a rule is broken: { $reason }
decide-there-no-such-place-on = There is no such place on the map.
    .remedy = Load the newer map.
decide-this-place-on-map-already = This place is on the map already.
    .remedy = Change the one on the map, or give the new one another number.
decide-map-holds-up-to-places = A map holds up to { $places_most } places.
    .remedy = Join screws of the same kind into one entry.
decide-out-what-cannot-be-changed = The { $places } is out; what it is cannot be changed now.
    .remedy = Put it back first.
decide-out-cannot-be-wiped-off = The { $places } is out; it cannot be wiped off the map.
    .remedy = Put it back, or explain why it stays out.
decide-out-already = The { $places } is out already.
    .remedy = Reload the job to see what is out.
decide-in-already = The { $places } is in already.
    .remedy = One in the tray too many? Note it as left over.
decide-this-place-takes-screw-not = This place takes a screw { $letter }, not { $taken }: the wrong length dents the board.
    .remedy = Take one from tray { $letter }.
decide-screws-left-over-allowed-to = { $count } screws are left over? Allowed are 0 to { $places_most }.
    .remedy = Count the screws on the tray again.
decide-unplugged-plug-not-explained-away = The { $places } is unplugged; a plug is not explained away.
    .remedy = { close-plug-in }
decide-in-there-nothing-to-explain = The { $places } is in; there is nothing to explain.
    .remedy = Nothing has to be done.
decide-there-no-such-wait = There is no such wait.
    .remedy = Reload the job and choose one of its timers.
decide-this-wait-ended-already = This wait is ended already.
    .remedy = Start a new timer if it has to wait again.
decide-reason-for-ending-early = The reason for ending it early
decide-there-nothing-this-kind-to = There is nothing of this kind to check.
    .remedy = Reload the job and choose one of its checks.
decide-no-power-before-check = { $words }: no power before the check.
decide-photo-for = A photo is for { $photo_uses }.
    .remedy = Choose one of these.
decide-does-not-close-yet = It does not close yet: { $text }
decide-this-plan-lifts-cooler-step = This plan lifts the cooler; the step is not skipped.
decide-this-step-stands-between-die = This step stands between a die and the power; it is not skipped.
decide-off-already-mark-as-done = Off already: mark it as done. Not to be lifted: take another option in Plan and make the list anew.
decide-do-done-already-mark-as = Do it; is it done already, mark it as done. Not needed: take another option in Plan and make the list anew.
events-no-event-bench = “{ $kind }” is no event of the bench.
    .remedy = { allowed }
events-says-nothing = { $what } says nothing.
    .remedy = For instance: { $example }
events-does-not-belong-to-event = “{ $name }” does not belong to the event “{ $kind }”.
events-event-lacks = The event “{ $kind }” lacks “{ $name }”.
    .remedy = { events-give-as }
events-event-no = “{ $name }” of the event “{ $kind }” is no { $right }.
    .remedy = { events-give-as }
events-give-as = Give it as { $wanted }.
guard-what-happened = What happened
guard-lifted-cooler-before-i-saw = lifted the cooler before I saw the battery plug.
log-there-nothing-to = There is nothing to { $kind }.
    .remedy = Nothing has to be done.
log-something-else-was-done-meanwhile = Something else was done meanwhile, on another tablet.
    .remedy = Look at it, then take it back if that is meant.
state-screw =
    screw { $letter } of the { $holds }{ $number ->
        [none] { "" }
       *[other] , no. { $number }
    }
stored-no-list-names = is no list of names
stored-lacks = A { $what } lacks “{ $lacks }”.
stored-no =
    is no { $allowed ->
        [flag] yes or no
        [whole] whole number
        [number] number
       *[text] text
    }
stored-longer-than-characters = is longer than { $text_most } characters
stored-knows-no = A { $what } knows no “{ $odd }”.
whole-lift-cooler-once-more = Lift the cooler once more
whole-lies-over-face-that-not = it lies over a face that is not as it shall be
whole-bit-that-fits = bit that fits
whole-screws-in-order-little-each = Screws in order, a little each.
whole-put-back = Put back: { $words }
whole-list-as-now-does-not = the list as it is now does not bring it back
whole-every-die-cooler-left = every die the cooler left
whole-processor-die = the processor die
whole-graphics-die = the graphics die
events-nothing-allowed = Allowed: nothing.
events-type-text =
    text{ $most ->
        [none] { "" }
       *[other] { "" } of up to { $most } characters
    }
events-type-name =
    name{ $most ->
        [none] { "" }
       *[other] { "" } of up to { $most } characters
    }
events-type-list =
    list{ $most ->
        [none] { "" }
       *[other] { "" } of up to { $most } entries
    }
events-type-number = number
events-type-whole = whole number
events-type-table = table
state-pad =
    pad on { $holds }{ $note ->
        [none] { "" }
       *[other] , { $note }
    }{ $thickness_mm ->
        [none] , thickness not known
       *[other] , { SIG($thickness_mm) } mm
    }{ $gap_mm ->
        [none] { "" }
       *[other] { " " }over a gap of { SIG($gap_mm) } mm
    }
state-plug =
    { $other ->
        [yes] { $name }
       *[no] { $name } plug
    }
stored-odd = “{ $name }” of a { $what } { $odd }.
    .remedy = Take the file from another copy, or restore a backup.
stored-known = Known: { $names }.
close-seen = { $part }: { LOW($seen) }.
decide-attempt-not-closed = Attempt { $number } is not closed.
    .remedy = Count and close it first; what is open now belongs to it.
decide-attempt-number = Attempt { $number } cannot follow; the next one is { $next }.
    .remedy = Reload the job, then begin the next attempt.
