### jobs

next-done = { $model } was handed over
next-measure_before = Take the Before reading of { $model }
next-decide = Decide what to do with { $model }
next-answered = { $title ->
    [none] The quote for { $model } was declined: decide what to do
   *[other] { $model }: the customer accepted “{ $title }”
}
next-leave_alone = Leave { $model } alone, and hand it back
next-settle_plan = Settle the hazards of the plan for { $model }
next-settle_intake = Settle what the owner accepts before { $model } is opened
next-fit = Clean { $model } and note what goes where
next-begin_list = Open { $model } and begin its step list
next-measure_after = Take the After reading of { $model }
next-repeat_run = See why the runs of { $model } cannot be compared, and repeat one
next-hand_over =
    { $verdict ->
        [improved] Show what { $model } gained, and hand it over
        [improved_if_same] Note fan and place of { $model }, then show what it gained
        [worse_if_same] Look at { $model } again, and note fan and place: it came out worse
        [no_difference_shown] Tell that nothing was gained on { $model }, and hand it over
        [worse] Look at { $model } again: it came out worse
       *[none] Hand { $model } over
    }
next-stopped = Do not open { $model }: { $reason }
next-step = { $model }, step { $number }: { $text }
fit-used-on-job = used on job { $number }
fit-taken-back-from-job = taken back from job { $number }
fit-fit = The fit
fit-counted-in = { $name } is counted in { $wanted }.
    .remedy = Give the amount in { $wanted }, or note it without a lot.
fit-not-what-was-chosen = { $name } is { $words }, not what was chosen.
    .remedy = Choose the lot that was used.
fit-these-pieces-belong-to-cut = These pieces belong to a cut sheet.
    .remedy = Take the cut back instead.
fit-bench-list-has-open-items = The bench list has { $bench } open items.
    .remedy = Settle them in Close; the list closes there.
fit-bench-list-closed = The bench list is closed.
    .remedy = Take the closing back in Close.
fit-nothing-noted-as-cleaned-or = Nothing is noted as cleaned or fitted.
    .remedy = Tick what was cleaned, or add what was fitted.
fit-amount-has-no-unit = The amount has no unit.
    .remedy = Choose g, mL, mm or pieces.
fit-there-no-such-item-on = There is no such item on this job.
    .remedy = Reload the page.
handover-type-price-with-point-or = Type the price with a point or comma for cents.
handover-hand-over = The hand-over
handover-job-stopped-battery-swollen = The job is stopped: the battery is swollen.
handover-there-no-after-log-so = There is no After log, so the record proves nothing yet.
    .remedy = Take the After reading first.
intake-intake = The intake
intake-there-no-suggestions-for = There are no suggestions for “{ $field }”.
    .remedy = { allowed }
intake-not-settled-in = Not settled in { $where }: { $reason }
    .remedy = { $remedy } Then acknowledge it in { $where }.
intake-job-was-handed-over-and = Job { $number } was handed over and is closed.
    .remedy = Take the hand-over back to change it.
intake-gate-not-open-on-this = The gate “{ $rule }” is not open on this job.
    .remedy = { intake-reload-job }
intake-this-not-to-be-accepted = { $reason } This is not to be accepted away.
intake-acknowledgement-says-nothing = The acknowledgement says nothing.
    .remedy = Write what was agreed: owner accepts the loss of warranty.
intake-reload-job = Reload the job.
intake-this-gate-acknowledged-already = This gate is acknowledged already.
    .remedy = { intake-reload-job }
versions-why-is-missing = Version { $number } of this record was handed over. What is changed now needs a reason.
    .remedy = Say in a few words what is put right. It becomes the next version; the old one stays readable.
links-erased = The customer of job { $number } was erased: there is nobody whom a link could be given to.
    .remedy = Print the record if the shop still needs it.
links-from-a-list = Job { $number } comes from a list of past jobs: there is no record that a link could show.
    .remedy = Enter what is known of the job on its page.
links-no-record-yet = Job { $number } is not handed over: there is no record that a link could show.
    .remedy = { links-hand-over-first }
links-hand-over-first = Hand it over first.
links-too-many = There are { $most } links to this job already.
    .remedy = Withdraw one that is not needed any more.
links-unknown = This link leads nowhere.
    .remedy = { links-ask-shop }
links-withdrawn = This link was withdrawn by the shop.
    .remedy = { links-ask-shop }
links-over = This link is over.
    .remedy = { links-ask-shop }
links-ask-shop = Ask the shop that gave it to you for a new one.
links-no-photo = There is no such photo on this record.
    .remedy = { links-ask-shop }
today-no-such-wait = This wait is not running any more.
    .remedy = { intake-reload-job }
