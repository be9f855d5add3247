### page-shared

format-not-known = no se sabe
format-not-set = sin fijar
owl-not-measured-yet = aún sin medir
owl-rise-not-known = subida desconocida
owl-kelvins-over-room = { $rise_k } kelvin sobre la sala
owl-decibels = { $noise_db } decibelios
trace-chart-held-back-by-heat = frenado por calor
owl-stopped-for-safety-both = Detenido por seguridad: los dos ojos cerrados.
owl-before-after = Antes: { $before }. Después: { $after }.
