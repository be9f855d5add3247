### record

record-pdf-no-difference = kein Unterschied
record-pdf-sensor = { CAP($words) }
record-pdf-not-known = nicht bekannt
record-pdf-record = Nachweis { $number }
record-written-anew = Am { $day } aus den Messungen neu erstellt, mit { $program ->
        [none] einer späteren Version
       *[other] Version { $program }
    }. Der Nachweis, der am { $handed } übergeben wurde, ist nicht erhalten.
record-pdf-record-2 = Nachweis { $number } · { $device } · { $customer } · { $day }
record-pdf-came-in-with = Gebracht wurde es mit: „{ $symptom }“
record-pdf-not-measured-on-both-sides = Noch nicht vorher und nachher gemessen.
record-pdf-not-noted = nicht notiert
words-not-set = nicht festgelegt
record-pdf-better = besser
record-pdf-worse = schlechter
record-pdf-changed = geändert
record-pdf-headline = { $headline }.
record-pdf-footer =
    { $demo ->
        [yes] Erfundene Vorführdaten. { "" }
       *[no] { "" }
    }{ $shop }, Nachweis { $number }{ $draft ->
        [yes] , Entwurf
       *[no] { "" }
    }
record-pdf-change = { $change } ± { $u95 }
record-pdf-item =
    { $target }: { $kind }{ $product ->
        [none] { "" }
       *[other] , { $product }
    }{ $lot ->
        [none] { "" }
       *[other] , Charge { $lot }
    }{ $amount ->
        [none] { "" }
       *[other]
            , { SIG($amount) } { $unit }{ $spare ->
                [0] { "" }
               *[other] { "" } und { $spare } Reserve
            }{ $known ->
                [planned] { "" } geplant
                [weighed] { "" } gewogen
               *[other] { "" }
            }
    }.
drawing-no-ladder = Keine Leiter: Der Raum wurde nicht notiert.
drawing-watts =
    { $power_w ->
        [none] Leistung nicht bekannt
       *[other] { FIX($power_w, 0) } W
    }
drawing-kelvins = { FIX($kelvins, 0) } K
drawing-degrees = { FIX($value, 0) } °C
drawing-stops-here = Engpass
drawing-load-on = Last an
record-pdf-lead = { $device }: { $verdict }
record-pdf-before = Vorher
record-pdf-now = Jetzt
record-pdf-means = Was das heißt
record-pdf-cleaned = Gereinigt: { $cleaned }.
record-pdf-price = Preis
record-pdf-warranty = Gewähr auf unsere Arbeit
record-pdf-link = Dieser Nachweis auf Ihrem Telefon: Code scannen. Dort lässt er sich auch als signierte Datei aufheben.
record-pdf-until = bis { $day }
record-pdf-next-service = Nächster Service
record-pdf-agreed = Vereinbart: { $reason } { $words }
record-pdf-after = Nachher
record-pdf-change-u = Änderung ± U
record-pdf-shown = Gezeigt
record-pdf-details = Die Messung im Einzelnen
record-pdf-measured = Was gemessen wurde
record-pdf-u-is = U ist die erweiterte Messunsicherheit (k = 2, JCGM 100). Eine Änderung, die kleiner als U ist, wird nicht behauptet.
record-pdf-conditions = Wie gemessen wurde
record-pdf-done = Was getan wurde
record-pdf-do = Was Sie tun sollten
record-pdf-bench = An der Werkbank
record-pdf-attempts = Die Versuche nebeneinander
record-pdf-attempt = Versuch
record-pdf-page-of = Seite
record-pdf-owl = Zwei Eulenaugen: das linke zeigt das Gerät vorher, das rechte nachher.
record-pdf-ladder = Wie viele Grad jedes Stück auf dem Weg der Wärme zurückhält, vorher und nachher.
record-pdf-chart = Temperatur unter Last über die Zeit, vorher und nachher.
record-pdf-pieces = { $amount ->
   *[other] Stück
}
record-pdf-limit = °C{ $limit ->
    [none] { "" }
   *[other] , Grenze { FIX($limit, 0) }
}
record-pdf-left-alone = { $device }: An der Kühlung fehlt nichts, deshalb blieb sie, wie sie ist
