### page-shared

format-not-known = nicht bekannt
format-not-set = nicht festgelegt
owl-not-measured-yet = noch nicht gemessen
owl-rise-not-known = Anstieg nicht bekannt
owl-kelvins-over-room = { $rise_k } Kelvin über dem Raum
owl-decibels = { $noise_db } Dezibel
trace-chart-held-back-by-heat = gedrosselt
owl-stopped-for-safety-both = Aus Sicherheit angehalten: beide Augen zu.
owl-before-after = Vorher: { $before }. Nachher: { $after }.
