### page-shared

format-not-known = not known
format-not-set = not set
owl-not-measured-yet = not measured yet
owl-rise-not-known = rise not known
owl-kelvins-over-room = { $rise_k } kelvins over the room
owl-decibels = { $noise_db } decibels
trace-chart-held-back-by-heat = throttled
owl-stopped-for-safety-both = Stopped for safety: both eyes shut.
owl-before-after = Before: { $before }. After: { $after }.
