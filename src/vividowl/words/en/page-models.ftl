### page-models

model-page-not-measured = not measured
model-page-not-known = not known
model-page-k-over-room = { $v } K over room
model-page-processor-die = Processor die
model-page-graphics-die = Graphics die
model-page-before-service-typically = Before a service, typically
model-page-after = After it
model-page-healthy-one-die-to = A healthy one, die to room
model-page-k-w-interface-k =
    { $total_k_per_w } K/W, of it interface { $interface_k_per_w ->
        [none] not known
       *[other] { $interface_k_per_w } K/W
    } ({ $reference })
model-page-load-newer-state = Load the newer state
model-page-all-models = All models
model-page-by-in-shop-from =
    { $kind } by { $maker } · { $jobs } in the shop{ $source ->
        [yes] { "" } · from { $source_2 }
       *[no] { "" }
    }
model-page-export-as-json = Export as JSON
model-page-throw-away = Throw it away
model-page-yes-throw-away = Yes, throw it away
model-page-no = No
model-page-map = Map: { $places }
model-page-gaps = Gaps
model-page-mm-mm = { $target }: { $reading_mm } mm, { $count } of { $width_mm } × { $length_mm } mm
model-page-none-measured-yet = None measured yet.
model-page-found-at-bench = Found at the bench
model-page-figures = { $part }: { $to_lower_case }, { $times } of { $learnt_jobs }
model-page-nothing-out-order-was = Nothing out of order was noted.
model-page-steps-its-own = Steps of its own
model-page-in = in { $stage }
model-page-hands-takes = Hands it takes
model-page-task = Task
model-page-median = Median
model-page-jobs = Jobs
model-page-torque-and-screws = Torque and screws
model-page-snug-spring-screws-stop = Snug, spring screws stop at the shoulder
model-page-notes = Notes
model-page-weak-clip-at-left = Weak clip at the left, ribbon under the speaker
model-page-keep-notes = Keep the notes
model-page-opening-model = Opening the model …
models-room-models = Models
models-room-what-shop-knows-model = What the shop knows of a model, offered again on its next job.
models-room-import-model = Import a model
models-room-replace-kept-one = Replace the kept one
models-room-leave = Leave it
models-room-load-again = Load again
models-room-no-model-kept-yet = No model is kept yet
models-room-all = every kind
models-room-most-jobs = most jobs first
models-room-map-device-in-open = Map a device in Open, and save it to its model in Close; or import one from another shop.
models-room-map = Map of { $model }
models-room-in-no =
    { $screw } in { $count } { $count ->
        [one] class
       *[other] classes
    }, { $plug }{ $count_2 ->
        [yes] , { $steps }
       *[no] { "" }
    }
models-room-model-file = Model file
model-page-notes-kept = Notes kept.
model-page-model-thrown-away-its = The model is thrown away; its jobs keep their maps.
models-room-taken-in = { $model } taken in: { $places }.
known-by-model = Known from services, by model
known-by-material = Known from services, by material
known-services = Services
known-gain = Gain, K/W
known-minutes = Labour, minutes
known-promise = Promise kept
known-lasting = Half of the gain gone after
known-few = { $n } of { $least } needed
known-spread = { $median } ({ $low } to { $high }), n = { $n }
known-kept = { $kept } of { $promised }
known-lasts = { $median } months ({ $low } to { $high }), { $gone } of { $n } gone
known-lasts-beyond = not known yet: { $gone } of { $n } gone
known-note = Medians with the quartiles between which half of the cases lie; of fewer than { $least } nothing is told. Devices that still hold their gain count as holding (product-limit estimate, 95 %).
