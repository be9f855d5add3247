### page-record

photo-pair-after-service = Nach dem Service
photo-pair-before-service = Vor dem Service
photo-pair-before = vorher
photo-pair-after = nachher
photo-pair-from-after-to-before = Von nachher zu vorher
photo-pair-how-much-before-shown = Wie viel vom Vorher zu sehen ist
record-room-came-in-with = Gebracht wurde es mit: „{ $symptom }“
record-room-before = Vorher
record-room-now = Jetzt
record-room-means = Was das heißt
record-room-what-was-done = Was getan wurde
record-room-nothing-noted-yet = Noch nichts notiert.
record-room-what-to-do = Was Sie tun sollten
record-room-price = Preis
record-room-warranty = Gewähr auf unsere Arbeit
record-room-until = bis { $day }
record-room-next-service = Nächster Service
record-chart-is = Temperatur unter Last über die Zeit, vorher und jetzt.
record-chart-degrees = { $value } °C
record-chart-minutes = { $minutes } min
record-chart-load-on = Last an
