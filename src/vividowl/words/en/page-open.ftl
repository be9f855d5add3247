### page-open

ledger-ledger = Ledger
ledger-figures = of
ledger-screws-out = screws out
ledger-out = { $letter }: { $out } of { $all } out
ledger-plugs-off = plugs off
ledger-left-over-in-tray =
    { $leftover } left over in the tray{ $leftover_words ->
        [yes] : { $leftover_words_2 }
       *[no] { "" }
    }
open-page-open-every-screw-and = Open: every screw and plug has its place
open-page-map = Map
open-page-count = Count
open-page-put-screws = Add screws
open-page-put-plugs = Put plugs
open-page-put-pads = Add pads
open-page-order = Order
open-page-none-shown = none shown
open-page-loosen = loosen the { $words }
open-page-tighten = tighten the { $words }
open-page-another-photo = Another photo
open-page-photo-as-map = Photo as map
open-page-plain-outline = Plain outline
open-page-tray-labels = Tray labels
open-page-map-with-places = Map with { $count } places
open-page-loosen-in-reverse-printed = Loosen in reverse of the printed numbers, a little each.
open-page-no-numbers-printed-back = No numbers printed: back and forth across the middle, a little each.
open-page-nothing-mapped-yet-choose = Nothing is mapped yet. Choose “Add screws”, say which class, and tap each place as it comes out.
open-page-chosen-place = Chosen place
open-page-new-place = New place
open-page-since-step = { "" } since step { $was_out }
open-page-in = It is in
open-page-out = It is out
open-page-wipe-off = Delete
open-page-let-go = Deselect
open-page-photo-as-map-2 = Photo as the map
place-form-holds = Holds the
place-form-length = Length
place-form-drive = Drive
place-form-head = Head
place-form-printed-number = Printed number
place-form-counts-on-by-itself = counts on by itself
place-form-plug = Plug of the
place-form-pad = Pad on
place-form-gap = Gap
place-form-thickness = Pad thickness
place-form-thickness-hint = Before it is pressed; both are kept with the model
place-form-which-if-there-several = Which, if there are several
place-form-white-antenna = white antenna
place-form-now-tap-map-once = Now tap the map, once for each.
stage-steps-take-back = Undo: { $undo_words }
stage-steps-nothing-to-take-back = Nothing to take back
stage-steps-again = Again: { $redo_words }
stage-steps-min-hands = { $hands_min } min labour
stage-steps-then-wait = then wait { $wait_min }
stage-steps-min-waited = { $waited_min } min waited
stage-steps-bench-mode = Bench mode
stage-foot-first =
    { $count ->
        [one] 1 step of { $stage }
       *[other] { $count } steps of { $stage }
    }
stage-foot-go-on = Go on to { $stage }
stage-foot-left =
    { $count ->
        [one] 1 step left in this stage
       *[other] { $count } steps left in this stage
    }
stage-foot-all-told = All steps of this stage are done
stage-steps-steps-this-stage = Steps of this stage
stage-steps-steps = Steps
stage-steps-plan-has-changed-since = The plan has changed since this list was made.
stage-steps-what-done-stays-done =
    What is done stays done; what is to come follows the plan{ $words ->
        [none] { "" }
       *[other] : { $words }
    }.
stage-steps-make-list-anew = Make the list anew
stage-steps-left = { $words }: { $now } left
stage-steps-go-through = Go through it
stage-steps-done = Done
stage-steps-more-for-step = More for step { $number }
stage-steps-skip-with-reason = Skip with a reason
stage-steps-earlier = Earlier
stage-steps-later = Later
stage-steps-why-this-step-skipped = Why is this step skipped?
stage-steps-if-has-happened-already = { $remedy } If it has happened already, say so: it is recorded as what it is and asks for a check.
stage-steps-this-model-has-no = This model has no such part
stage-steps-done-already-before-list = Done already, before the list
stage-steps-not-needed-today = Not needed today
stage-steps-i-saw-too-late = I saw it too late
stage-steps-slipped = It slipped
stage-steps-skip = Skip it
stage-steps-has-happened-record = It has happened: record it
stage-steps-add-step = Add a step
stage-steps-step-your-own-at = Step of your own, at the end of this stage
stage-steps-kept-for-model-when = Kept for the model when you save it in Close
stage-steps-add = Add it
stage-steps-no = No
stage-steps-loading = Loading …
tray-labels-print = Print
tray-labels-back-to-map = Back to the map
tray-labels-job = { $model }, job { $number }
tray-labels-there-no-screws-on = There are no screws on the map yet. Put them in Open, then print their labels here.
tray-labels-screws = { $count ->
        [one] { $count } screw
       *[other] { $count } screws
    }
ledger-off = off
ledger-on = on
stage-steps-skipped = skipped: { $why }
open-page-warranty = Before it is opened: warranty and seal
