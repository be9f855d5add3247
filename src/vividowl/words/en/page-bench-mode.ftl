### page-bench-mode

begin-list-begin-step-list = The step list
begin-list-made-from-plan-no =
    It is made from the plan{ $words ->
        [none] { "" }
       *[other] { "" } ({ $words })
    }, the kind of device and what the shop knows of the model: gates first, then opening, looking, cleaning, fitting, closing and the first power-on.
begin-list-map-this-model-kept = The map of this model is kept: { $places } come with it.
begin-list-this-model-has-no = This model has no map yet: tap its screws and plugs in as they come out, and keep it for the next one.
begin-list-settle-there = Settle it there
begin-list-begin-with-map = Begin, with the map
begin-list-begin-list = Start work
begin-list-begin-without-map = Begin without the map
begin-list-to-plan = To Plan
begin-list-decision = a decision in Plan
bench-mode-step-done-go-on = Step done, go on; held for a second where it matters
bench-mode-take-last-step-back = Take the last step back
bench-mode-bring-again = Bring it again
bench-mode-skip-this-step-with = Skip this step with a reason
bench-mode-something-went-wrong = Something went wrong
bench-mode-start-clock = Start a clock
bench-mode-end-wait-early = End the wait early
bench-mode-has-happened-record = It has happened: record it
bench-mode-photo-this-step = Photo of this step
bench-mode-say-step-aloud = Say the step aloud
bench-mode-whole-screen = Whole screen
bench-mode-look-at-next-step = Look at the next step
bench-mode-look-at-step-before = Look at the step before
bench-mode-these-keys = These keys
bench-mode-leave-bench-mode = Leave bench mode
bench-mode-numbers-go-to-that = Numbers: go to that step
bench-mode-bench = Bench · { $model }
bench-mode-job = job { $number }
bench-mode-leave = Leave
bench-mode-steps = Steps
bench-mode-then-this-step-another = { $to_lower_case }, then this step. Another job can have your hands meanwhile.
bench-mode-empty-stays-planned-not = empty: it stays planned, not weighed
bench-mode-what-happened = What happened?
bench-mode-goes-into-record-as = { $reason } It goes into the record as what it is, and asks for a check before closing.
bench-mode-i-saw-too-late = I saw it too late
bench-mode-plug-was-hidden-under = The plug was hidden under the cooler
bench-mode-slipped = It slipped
bench-mode-record = Record it
bench-mode-why-this-step-skipped = Why is this step skipped?
bench-mode-this-model-has-no = This model has no such part
bench-mode-done-already-before-list = Done already, before the list
bench-mode-not-needed-today = Not needed today
bench-mode-owner-does-not-want = The owner does not want it
bench-mode-skip = Skip it
bench-mode-end-early = { $words }: end it early?
bench-mode-left = { $now } are left.
bench-mode-started-late-was-lying = Clock started late: it has been long enough
bench-mode-end = End it
bench-mode-taking-back = Taking it back …
bench-mode-go-on = Go on
bench-mode-waiting = Waiting
bench-mode-keep-holding = Keep holding
bench-mode-hold-second =
    Hold a second: { $power ->
        [yes] looked at, go on
       *[no] done
    }
bench-mode-done-go-on = Done, go on
bench-mode-or-hold = or hold a second: { $count } steps
bench-mode-or-hold-to = , up to “{ $to }”
bench-mode-told-together = { $count } steps told together. Undo takes them back together.
bench-mode-enter = Enter
bench-mode-take-back = Undo
bench-mode-skip-2 = Skip
bench-mode-mishap = Problem
bench-mode-clock = Clock
bench-mode-photo = Photo
bench-mode-end-wait = End wait
bench-mode-say = Read aloud
bench-mode-step = step { $digits } …
count-and-close-first-power-on-checks = First power-on: { $fine } checks fine, { $unchecked } not looked at.
count-and-close-doses-weighed-as-planned = Doses: { $count } weighed, { $count_2 } as planned.
count-and-close-seen-looked-at-and = Seen: { $found } looked at and noted.
count-and-close-close-bench-work = Close the bench work
count-and-close-count-and-close = Count, and close
count-and-close-bench-work-closed = The bench work is closed
count-and-close-after-reading-comes-next = The After reading comes next. Taking back opens it again.
count-and-close-on-to-after = On to After
bench-mode-closed-all-back = All { $count } screws are back, nothing is left over. Bench work is closed.
count-and-close-steps-still-to-do = { $count } steps are still to do
count-and-close-and-out-no-next =
    { $count ->
        [yes] { $screw } and { $plug } are out. { "" }
       *[no] { "" }
    }Next: step { $of }, { $text }
count-and-close-go-on-with = Go on with it
count-and-close-one-thing-open = One thing is open
count-and-close-things-open = { $count } things are open
count-and-close-go-there = Go there
count-and-close-end-early = End it early
count-and-close-explain = Explain
count-and-close-say-what-was-checked = Say what was checked
count-and-close-screws-back-nothing-left = { $back } of { $count } screws are back, nothing is left over
count-and-close-nothing-open-screws-not = Nothing is open; the screws are not mapped
count-and-close-nothing-open = Nothing is open
count-and-close-nobody-has-counted-them = Nobody has counted them: count what is in the tray before you close. The record says so.
count-and-close-thread-torn-told-owner = Thread torn, told the owner
count-and-close-was-missing-when-device = It was missing when the device came in
count-and-close-looked-with-loupe-all = Looked with the loupe, all in order
count-and-close-looked-at-nothing-found = Looked at it, nothing found
count-and-close-note = Note it
line-state-step-waits-on-this = 1 step waits on this tablet
line-state-steps-wait-on-this = { $waiting } steps wait on this tablet
line-state-this-tablets-clock-min =
    This tablet’s clock is { $minutes } min { $clock_off_s ->
        [yes] fast
       *[no] slow
    }; the server’s counts.
line-state-no-connection-go-on = No connection. Go on: { $here }
line-state-in-step = Synced
line-state-try-again = Try again
line-state-not-taken = Not taken: { $detail }
line-state-seen-put-aside = Seen, put it aside
mishap-panel-before-closes = Before it closes: { $check }
mishap-panel-what-happened = What happened
mishap-panel-put-into-record = Put it into the record
mishap-panel-back = Back
mishap-panel-what-went-wrong = What went wrong?
mishap-panel-nothing-back = Cancel
power-check-not-looked-at = not looked at
power-check-has-none = has none
power-check-has-to-be-looked = has to be looked at
power-check-time-to-boot = Time to boot
power-check-empty-when-not-timed = empty when not timed
power-check-note-fail =
    Note it: { $count } fail{ $count ->
        [one] s
       *[other] { "" }
    }
power-check-note-not-looked-at = Note it: { $count } not looked at
power-check-looked-at-each-all = Looked at each: all fine
power-check-look-first = Look first: { $join }.
power-check-all-fine = Seen and fine: { $join }
power-check-or-hold = or hold a second: seen and fine, step done
power-check-likely-most-likely-first = Likely, most likely first
power-check-from-this-devices-map = from this device’s map
reason-panel-in-your-words = In your words
rule-panel-rule-in-way = A rule is in the way
rule-panel-first-step = First: step { $first }
rule-panel-back-to-step = Back to the step
seen-picker-parts-to-look-at = Parts to look at
seen-picker-as-was-seen = { $words }, as it was seen
seen-picker-another-photo = Another photo
seen-picker-photo = Photo of it
seen-picker-photo-2 = Photo: { $words }
side-pane-map-places-this-step = Map: { $count } places of this step in their order
side-pane-tray = Tray
side-pane-out = { $out_count } of { $size } out
side-pane-nothing-mapped-here-yet = Nothing is mapped here yet. In Open, tap the screws in as they come out.
side-pane-taken-at-this-step = Taken at this step
side-pane-photo-belongs-here = A photo belongs here:
side-pane-or-key-below = or the key below.
sight-drawing-cu = Cu
sight-drawing-ni = Ni
sight-drawing-al = Al
step-ruler-open = Open
step-ruler-clean = Clean
step-ruler-fit = Fit
step-ruler-close = Close
step-ruler-step-no =
    Step { $i }: { $text }{ $how ->
        [none] { "" }
       *[other] , { $how }
    }
step-sheet-step = { $stage } · step { $number } of { $of }
step-sheet-material-and-dose = Material and dose
step-sheet-tool = Tool
step-sheet-then-wait = Then wait
step-sheet-in-one-go = In the same go, if you hold:
step-sheet-as-planned-not-weighed = As planned, not weighed.
wait-panel-other-length-in-minutes = Other length, in minutes
bench-mode-no-number-leave-empty = “{ $measured }” is no number. Leave it empty when nobody has weighed it.
bench-mode-wait-not-over-e = The wait is not over. E ends it early, with a reason.
bench-mode-this-step-stands-between = This step stands between a die and the power: do it, or take another plan.
bench-mode-that-one-on-server = That one is on the server already. It can be taken back when the line is back.
bench-mode-taken-back-r-brings = Taken back. R brings it again.
wait-panel-to-make-sense = { $words }: { $least_min } to { $most_min } make sense.
wait-panel-clock-runs-for = { $words }: the clock runs for { $own }.
running-clocks-over = over
power-check-fine = fine
power-check-fails = fails
line-state-kept-here = what you do is kept here
seen-picker-not-looked-at = not looked at
bench-mode-more = More
step-ruler-all-steps = All steps, now { $here } of { $of }
bench-mode-press-again = Press again to confirm
