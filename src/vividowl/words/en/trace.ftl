### trace

heading-not-logged = not logged
trace-log-has-no-die-temperature = The log has no die temperature.
    .remedy = Name the column that holds one.
trace-log-has-samples-at-least = The log has { $time_s } samples, at least { $samples_least } are needed.
    .remedy = Log for the whole load, one sample a second or so.
