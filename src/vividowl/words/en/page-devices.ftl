### page-devices

devices-devices = Devices
devices-each-with-its-visits = Each with all its visits: what was found, what was fitted, what it lost since.
devices-find = Find a device
devices-find-hint = Model, customer, serial number or tag
devices-device = Device
devices-customer = Customer
devices-serial-tag = Serial number, tag
devices-visits = Visits
devices-last-visit = Last visit
devices-none-yet = No device has been here yet. Take one in, and it stands here with its visits.
devices-none-found = No device fits “{ $find }”.
devices-not-told-apart = Not told apart
devices-not-told-apart-words = Same customer and model, and no serial number says whether it is one device. Put together those that are.
devices-same-device = It is the same device
devices-visit-on = visit of { $day }
devices-put-together = Put together: { $model } now has { $visits }
devices-earlier = Newer
devices-later = Older
devices-range = { $from } to { $to } of { $total }
devices-opening = Opening the device …
devices-all = All devices
devices-try-again = Try again
devices-by = { $kind } by { $maker } · { $customer }
devices-serial = Serial number { $serial }
devices-tag = Tag { $tag }
devices-advice = What to do
devices-visit = Visit
devices-came-in = As it came in
devices-went-out = As it went out
devices-fitted = Fitted
devices-verdict = Verdict
devices-nothing-fitted = nothing noted
devices-not-measured = not measured
devices-job = job { $number }
devices-drift = Drift since the last service
devices-drift-is = { $slope } ± { $u95 } K/W a month
devices-drift-not-shown = none shown
devices-limit = Limit in its own room: { $limit } K/W
devices-chart = Resistance over { $months } months: { $points }
devices-chart-point = { $side } on { $day } { $value } ± { $u95 } K/W
devices-k-per-w = K/W
devices-months = months since the first visit
devices-take-in = Take it in again
devices-another-device = That was another device
devices-taken-apart = The visit of { $day } is a device of its own now
devices-undo = Take it back
devices-change-merged =
    { $visits ->
        [one] One visit was given to this device.
       *[other] { $visits } visits were given to this device.
    }
devices-change-split =
    { $visits ->
        [one] One visit was taken from this device.
       *[other] { $visits } visits were taken from this device.
    }
devices-taken-back = Taken back
