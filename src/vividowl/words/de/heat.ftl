### heat: was der Nachweis von der Abluft sagt

air-exhaust-rise-went-from-to =
    Der Anstieg der Abluft ging von { FIX($rise_before, 0) } auf { FIX($rise_after, 0) } K, das { FIX($measured, 2) }-Fache; { $by ->
        [fan] der Lüfter mit { FIX($fan_percent, 0) } % seiner Drehzahl
       *[noise] { FIX($level_change_db, 1) } dB { $quieter ->
            [yes] weniger
           *[no] mehr
        } Geräusch
    }{ $watts ->
        [yes] { "" } und das { FIX($power_ratio, 2) }-Fache der Watt
       *[no] { "" }
    }: daraus folgt das { FIX($allowed, 2) }-Fache, ± { FIX($ratio_tolerance, 0) } %.
air-exhaust-not-known = Der Anstieg der Abluft ging von { FIX($rise_before, 0) } auf { FIX($rise_after, 0) } K. Weder Geräusch noch Drehzahl sagen warum: Ein langsamerer Lüfter, mehr Watt und eine bessere Wärmeleitung wärmen die Abluft alle.
air-that-does-not-explain-check = Das erklärt es nicht: Leistung, Sitz und Schlitze prüfen.
air-that-no-fault-fan-turns = Das ist kein Fehler: Der Lüfter dreht langsamer, also gehen die Watt in weniger Luft hinaus.
air-that-no-fault-more-watts = Das ist kein Fehler: Mehr Watt gehen in derselben Luft hinaus.
