### verdict

comparison-neither-fan-speed-nor-fan = Weder Drehzahl noch Einstellung des Lüfters ist auf beiden Seiten bekannt, und der Lüfter allein könnte es sein. Notieren Sie die Einstellung.
comparison-where-stood-not-noted-on = Wo es stand, ist nicht auf beiden Seiten notiert, und der Platz allein könnte es sein. Notieren Sie den Platz.
comparison-changed-by-more-than-two = { $words } änderte sich um { $size }: mehr als die Streuung von Lauf zu Lauf.
comparison-not-known-on-both-sides = { $words }: nicht auf beiden Seiten bekannt.
comparison-changed-by-within-what-two = { $words } änderte sich um { $size }: innerhalb der Streuung von Lauf zu Lauf.
comparison-comparison-needs-run-on-both = Ein Vergleich braucht einen Lauf auf beiden Seiten.
comparison-true-gain-up-to-k =
    Ein wahrer Gewinn von bis zu { FIX($hidden_k, 1) } K könnte sich hier verbergen{ $more ->
        [runs] ; zwei weitere Läufe auf jeder Seite würden { FIX($showable_k, 1) } K zeigen
        [hardly] ; Wiederholungen würden daran kaum etwas ändern, wohl aber gleichmäßige Last, derselbe Lüfter und ein längerer Lauf
       *[none] { "" }
    }.
comparison-two-logs-hold-different-die = Die beiden Aufzeichnungen haben verschiedene Chipfühler. Vergleichen Sie auf beiden Seiten denselben.
comparison-die-sensor-never-moves-so = Ein Chipfühler bewegt sich nie; daraus folgt nichts. Zeichnen Sie einen anderen auf.
comparison-room-was-not-noted-on = Der Raum wurde nicht auf beiden Seiten notiert, darum ist kein Anstieg über ihn bekannt. Notieren Sie den Raum.
comparison-fan-turned-after-against-rpm =
    Nachher drehte der Lüfter { $if_ratio ->
        [yes] langsamer
       *[no] schneller
    } ({ FIX($after, 0) } gegen { FIX($before, 0) } U/min); der Widerstand wurde auf eine Drehzahl umgerechnet.
comparison-before-heat-held-back-for = Vorher bremste die Hitze { FIX($share, 0) } % der Last; an einem gebremsten Gerät bleibt die Temperatur an ihrer Grenze, und die Watt zeigen es.
comparison-after-began-k-what-left =
    Nachher begann { FIX($start_apart_k, 0) } K { $if_start_apart_k ->
        [yes] wärmer
       *[no] kühler
    }; was davon blieb, steckt in der Unsicherheit.
comparison-not-both-runs-had-settled = Nicht beide Läufe waren eingeschwungen: Geurteilt wird über das Gemessene, zu gleichen Zeiten.
comparison-heat-held-device-back-on = Auf einer Seite bremste die Hitze das Gerät, und die Leistung wurde dort nicht aufgezeichnet. Zeichnen Sie die Leistung auf.
comparison-fan-ran-much-after-against =
    Nachher lief der Lüfter viel { $faster ->
        [yes] schneller
       *[no] langsamer
    } ({ FIX($after, 0) } gegen { FIX($before, 0) } U/min), was allein schon { $faster ->
        [yes] kühlt
       *[no] wärmt
    }. Wiederholen Sie bei einer festen Drehzahl.
comparison-one-level-on-each-side = Ein Pegel auf jeder Seite trägt kein Urteil, denn ein Lüfter in Stufen kann auf einer von zweien stehen: Wiederholen Sie beide, oder zeichnen Sie die Drehzahl auf.
conditions-fan-setting = Lüftereinstellung
conditions-power-profile = Leistungsprofil
conditions-repeat-one-side-with-same = Wiederholen Sie eine Seite mit derselben Last.
conditions-repeat-with-same-fan-setting = Wiederholen Sie mit derselben Lüftereinstellung.
conditions-repeat-with-same-power-profile = Wiederholen Sie mit demselben Leistungsprofil.
conditions-repeat-in-same-place-lid = Wiederholen Sie am selben Platz: Deckel, Ständer, Dock und Schoß ändern die Luft.
conditions-compare-same-sensor-on-both = Vergleichen Sie auf beiden Seiten denselben Fühler.
conditions-firmware-update-can-change-fan = Neue Firmware kann Lüftertabelle und Grenzen ändern; ein Teil der Wirkung kann ihre sein.
conditions-undervolt-cap-or-driver-changed = Unterspannung, Begrenzung oder Treiber änderte sich dazwischen; ein Teil der Wirkung kann daher kommen.
conditions-one-run-started-warm-does = Ein Lauf begann warm; sobald beide eingeschwungen sind, macht das nichts.
conditions-rooms-differ-by-k-more = Die Räume liegen { FIX($b, 1) } K auseinander, mehr als { FIX($room_corrected_k, 0) } K: herausgerechnet, doch Lüfter und Leckströme folgen der Temperatur; nehmen Sie das Ergebnis mit Vorsicht.
conditions-against-and-not-both-have = { $words } gegen { $words_2 }, und nicht beide sind eingeschwungen. Wiederholen Sie mit der längeren Zeit.
conditions-room-was-not-noted-so = Der Raum wurde nicht notiert, darum sind Anstiege über ihn nicht bekannt. Notieren Sie den Raum.
conditions-rooms-differ-by-k-rises = Die Räume liegen { FIX($b, 1) } K auseinander; die Werte sind auf die Raumtemperatur bezogen.
conditions-one-run-was-longer-both = Ein Lauf war länger; beide sind eingeschwungen, also macht das nichts.
conditions-against-and-not-both-have-2 = { $words } gegen { $words_2 }, und nicht beide sind eingeschwungen: Beide werden bei { FIX($b, 0) } min beurteilt.
conditions-not-noted = Nicht notiert.
conditions-was-before-and-after = { $words }: vorher „{ $b }“, nachher „{ $a }“. { $name }
conditions-cold-start-against-warm-one = Ein kalter Start gegen einen warmen, und nicht beide sind eingeschwungen. Wiederholen Sie mit demselben Start.
effects-mean-over-end-load = Mittel über das Ende der Last
effects-duration-same-work = Dauer derselben Arbeit
effects-frame-rate = Bildrate
effects-what-two-runs-one-benchmark = um { SIG($result_share) } % unterscheiden sich zwei Läufe desselben Tests
effects-at-min-load-on-both = { "" } bei { FIX($at_s, 1) } min Last auf beiden Seiten
effects-resistance-same-fan = Widerstand bei gleichem Lüfter
effects-die-temperature = Chiptemperatur
effects-s-before-s-after = { $window }, { FIX($from_s, 0) } s vorher, { FIX($window_from_s, 0) } s nachher
effects-rise-over-room = Anstieg über den Raum
effects-t-t-room-valid-in = T − T_Raum{ $terms }, gültig in jedem Raum bei gleicher Leistung und gleichem Lüfter; { $over }
effects-heat-into-shared-cooler = Wärme in den gemeinsamen Kühler, { $window }
effects-thermal-resistance = Wärmewiderstand
effects-rise-power-as-cooler-remembers = Anstieg / Leistung, wie der Kühler sie in Erinnerung hat; { $r }
effects-sustained-capacity = Dauerleistung
effects-held-back-by-heat = Gedrosselt
effects-load = % der Last
effects-pinned-at-its-plateau-with =
    an der oberen Grenze gehalten, Leistung oder Takt nachgelassen; erkannt an { $before ->
        [none] nichts
       *[other] { $before }
    } vorher, { $after ->
        [none] nichts
       *[other] { $after }
    } nachher
effects-fan-speed = Lüfterdrehzahl
effects-less-time-more-throughput = { FIX($less_time_percent, 1) } % weniger Zeit sind { FIX($more_throughput_percent, 1) } % mehr Durchsatz; { $working }
headline-db-no-hotter =
    { FIX($difference, 0) } dB { $if_difference ->
        [yes] leiser
       *[no] lauter
    }, nicht wärmer
headline-now-k-below-its-limit = jetzt { FIX($below, 0) } K unter seiner Grenze
headline-quieter-by-db-and-hotter = um { FIX($difference, 0) } dB leiser und um { FIX($rise_difference, 0) } K wärmer
headline-cooler-by-k-and-louder = um { FIX($difference, 0) } K kühler und um { FIX($noise_difference, 0) } dB lauter
headline-k-over-room =
    { FIX($difference, 0) } K { $if_difference ->
        [yes] weniger
       *[no] mehr
    } über dem Raum
headline-if-same =
    , wenn { $same } gleich { $assumes ->
        [one] war
       *[other] waren
    }
headline-held-back = gedrosselt { FIX($before, 0) } % → { FIX($after, 0) } %
headline-same-load = , unter gleicher Last { "" }
headline-with-fan-as-before = { "" } mit dem Lüfter wie vorher
headline-k-at-w =
    { FIX($kelvins, 0) } K { $if_difference ->
        [yes] weniger
       *[no] mehr
    } bei { FIX($before, 0) } W{ $at_fan }
headline-cannot-be-compared = Nicht vergleichbar
headline-at-its-c-limit = an seiner Grenze von { FIX($plateau, 0) } °C { "" }
headline-no-difference-shown = Kein Unterschied gezeigt
headline-clock = Takt { FIX($percent, 0, sign: 1) } %
parts-before-after =
    { $name }: vorher { $before ->
        [none] nicht bekannt
       *[other] { FIX($before, $digits) } { $unit }
    }, nachher { $after ->
        [none] nicht bekannt
       *[other] { FIX($after, $digits) } { $unit }
    }
parts-scatter-from-repeats = Streuung aus den Wiederholungen
quieter-energy-mean-readings-background-taken = energetisches Mittel der Ablesungen, Hintergrund abgezogen (ISO 3744)
quieter-weighted-energy-mean-recordings-same = A-bewertetes energetisches Mittel der Aufnahmen, selbes Telefon, selber Platz, selbe Verstärkung; fest ist nur der Unterschied
quieter-rooms-differ-db-for-fan = die Räume unterscheiden sich, ± { FIX($half_width_db, 1) } dB für den Lüfter, der folgt
quieter-room-alone-was-not-recorded = der Raum allein wurde nicht auf beiden Seiten aufgenommen, die wahre Änderung kann also größer sein
quieter-noise-by-recording = Geräusch, nach Aufnahme
quieter-read-at-and-at-not = abgelesen bei „{ $place }“ und bei „{ $other }“: nicht vergleichbar
quieter-converted-from-m-to-m = von { SIG($from_m) } m auf { SIG($to_m) } m umgerechnet
quieter-background-was-too-near-so = der Hintergrund lag zu nahe, ein Pegel ist also eine obere Grenze
conditions-load = Last
conditions-placement = Platz
conditions-sensor = Fühler
start-cold = kalt
start-warm = warm
conditions-start = Start
conditions-firmware = Firmware
conditions-tuning = Abstimmung
conditions-side-not-noted =
    { $side ->
        [before] Vorher nicht notiert; als gleich genommen
       *[after] Nachher nicht notiert; als gleich genommen
        [neither] Auf keiner Seite notiert
    }.
quieter-noise = Geräusch
effects-score = Punktzahl
effects-points = Punkte
effects-frames-s = Bilder/s
effects-percent = { FIX($percent, 2, sign: 1) } %
effects-power = Leistung
effects-clock = Takt
effects-same-fan-working = R + { FIX($behind, 2) } K/W·((N / { FIX($rpm, 0) } U/min)^{ SIG($exponent) } − 1), Exponent ± { SIG($half_width) }; { $both }
effects-capacity-working =
    berechnet: (T_Grenze − { FIX($room_c, 0) } °C) / R, { $limit_c ->
        [none] Grenze nicht bekannt
       *[other] Grenze { FIX($limit_c, 0) } °C
    }{ $draws_w ->
        [none] { "" }
       *[other] , nicht mehr als die { SIG($draws_w) } W, die es zieht
    }
comparison-size = { FIX($change, $digits, sign: 1) } ± { FIX($u95, $digits) } { $unit }
headline-improved = Verbessert
headline-worse = Schlechter
headline-fan = Lüfter
headline-place = Platz
headline-load = Last
headline-room = Raum
headline-thermometer = Ort des Thermometers
headline-sensor = Fühler
headline-power = Bedeutung der Leistung
headline-split = Aufteilung der Chips
headline-figure = { FIX($value, $digits) }
headline-watts = { FIX($value, $digits) } W
conditions-degrees = { FIX($value, 1) } °C
conditions-minutes = { FIX($value, 0) } min
conditions-room = Raum
conditions-duration = Dauer
comparison-sag = Von Minute 1 bis Minute 10 der Last: { FIX($before_1, 1) } → { FIX($before_10, 1) } W vorher, { FIX($after_1, 1) } → { FIX($after_10, 1) } W nachher.
bearing-same = gleich
bearing-corrected = herausgerechnet
bearing-noted = vermerkt
bearing-unknown = nicht bekannt
bearing-forbids = verbietet es

## Worauf eine Antwort beruht

assumed-load-by-power = Die Leistung in beiden Protokollen zeigt, was jeder Lauf gearbeitet hat.
assumed-load-by-work =
    { $name ->
        [frames] Die Bildrate
       *[clock] Der Takt
    } war auf beiden Seiten gleich.
assumed-load-not-logged = Nichts in den Protokollen zeigt, dass die Last gleich war: weder Leistung noch Takt noch Bildrate.
assumed-load-remedy = Eine Seite mit gleicher Last wiederholen und Leistung oder Takt mitschreiben.
assumed-use-moved = Die Auslastung ging von { FIX($before, 0) } auf { FIX($after, 0) } %: Das war eine andere Last.
assumed-work-moved =
    { $name ->
        [frames] Die Bildrate ging von { FIX($before, 0) } auf { FIX($after, 0) } je Sekunde
       *[clock] Der Takt ging von { FIX($before, 0) } auf { FIX($after, 0) } MHz
    }, und keine Leistung wurde mitgeschrieben: Last oder Leistungsgrenze können sich geändert haben.
assumed-power-differs = Vorher nahm es { FIX($before, 0) } W auf, nachher { FIX($after, 0) } W, und ein Kühler an seiner Grenze wird mit weniger Leistung von selbst besser.
assumed-power-differs-remedy = Eine Seite mit der Leistung der anderen wiederholen.
assumed-fan-logged = Die Drehzahl des Lüfters steht in beiden Protokollen.
assumed-fan-fixed = Als fest notiert: { $setting }.
assumed-fan-auto = Der Lüfter war nicht fest eingestellt und seine Drehzahl steht nicht in beiden Protokollen; er kann anders gelaufen sein.
assumed-fan-heard = Der Lüfter ist in beiden Aufnahmen mit gleicher Drehzahl zu hören, { FIX($rpm, 0) } U/min.
assumed-fan-heard-apart = Der Lüfter ist vorher mit { FIX($before, 0) } U/min zu hören, nachher mit { FIX($after, 0) } U/min.
assumed-fan-remedy = Mit festem Lüfter wiederholen oder seine Drehzahl mitschreiben.
assumed-room-logged = Die Raumtemperatur steht in beiden Protokollen.
assumed-room-noted = Von Hand notiert, und der Verlauf gibt keinen Anlass, daran zu zweifeln.
assumed-room-fell =
    { $side ->
        [before] Vorher
       *[after] Nachher
    } fiel die Temperatur des Chips bei gleicher Leistung um { FIX($fell, 1) } K: Der Raum kann abgekühlt sein.
assumed-room-late = Nur { FIX($percent, 0) } % des Unterschieds waren zur Hälfte des Laufs da: Was sich innen ändert, zeigt sich in Minuten, ein Raum nicht.
assumed-room-remedy = Mit Fenster und Heizung, wie sie sind, wiederholen und den Raum auch am Ende notieren.
assumed-idle-not-logged = Der Raum wurde von Hand notiert; die Protokolle enthalten keinen Leerlauf, der das Thermometer prüfen könnte.
assumed-idle-agrees = Im Leerlauf standen beide Seiten so weit über dem notierten Raum, wie sie sollten.
assumed-idle-differs =
    Schon im Leerlauf stand Nachher { FIX($apart, 1) } K { $warmer ->
        [yes] wärmer
       *[no] kühler
    } über dem notierten Raum, als es sollte: Das ist das Thermometer oder der Fühler.
assumed-thermometer-remedy = Mit dem Thermometer fern der Abluft und unverändertem Fühler wiederholen.
assumed-sensor-same = Dieselbe Spalte auf beiden Seiten.
assumed-sensor-noted = Dieselbe Art Fühler auf beiden Seiten; die Namen der Spalten sind nicht bekannt.
assumed-sensor-other = Vorher wurde der Chip aus „{ $before }“ gelesen, nachher aus „{ $after }“.
assumed-sensor-other-remedy = Auf beiden Seiten dieselbe Spalte wählen.
assumed-sensor-clipped =
    { $side ->
        [before] Vorher
        [after] Nachher
       *[both] Auf beiden Seiten
    } zeigt der Chip von früh an ein und denselben Wert, obwohl nichts dafür hergegeben wird: Der Fühler zeigt vielleicht nicht mehr als das.
assumed-sensor-clipped-remedy = Einen anderen Fühler des Chips mitschreiben.
assumed-firmware = Die Firmware hat sich dazwischen geändert: Sie kann den Fühler anders lesen oder den Lüfter anders steuern.
assumed-firmware-remedy = Vorher mit der neuen Firmware wiederholen, wo der alte Zustand noch zu haben ist; sonst dazusagen.
assumed-power-agrees = Leistung im Leerlauf und Takt geben keinen Anlass, an der Leistungsspalte zu zweifeln.
assumed-power-idle = Im Leerlauf nahm es vorher { FIX($before, 0) } W und nachher { FIX($after, 0) } W auf: Die Leistungsspalte kann etwas anderes bedeuten.
assumed-power-clock = Die Leistung änderte sich um { FIX($power, 0, sign: 1) } %, der Takt um { FIX($clock, 0, sign: 1) } %: Die Leistungsspalte kann etwas anderes bedeuten.
assumed-power-remedy = Nachsehen, ob beide Protokolle die Leistung desselben enthalten, des Chips allein.
assumed-split-same = Prozessor und Grafik teilten sich die Leistung auf beiden Seiten gleich.
assumed-split-moved = Von der Leistung gingen vorher { FIX($before, 0) } % und nachher { FIX($after, 0) } % in den Prozessor.
assumed-split-reckoned = Die Leistung hat sich zwischen Prozessor und Grafik verschoben; über den gemeinsamen Kühler sind das { FIX($kelvins, 1, sign: 1) } K und erklärt den Unterschied nicht.
assumed-split-remedy = Mit einer Last wiederholen, die nur einen Chip beschäftigt.
assumed-placement-noted = Auf beiden Seiten wurde derselbe Platz notiert; Deckel, Tuch und Dock sind in einem Protokoll nicht zu sehen.
assumed-placement-remedy = Am selben Platz wiederholen, Deckel und Ständer gleich.
assumption-load = Last
assumption-fan = Lüfter
assumption-room = Raum
assumption-thermometer = Thermometer
assumption-sensor = Fühler des Chips
assumption-power = Bedeutung der Leistung
assumption-split = Aufteilung der Chips
assumption-placement = Platz
standing-checked = vom Protokoll bestätigt
standing-noted = von Hand notiert
standing-doubtful = zweifelhaft
standing-unknown = nicht bekannt
headline-over-limit = { $sensor } { $still ->
        [yes] noch
       *[no] jetzt
    } { FIX($over, 0) } K über der Grenze
headline-sensor-k =
    { $sensor } { FIX($kelvins, 0) } K { $less ->
        [yes] weniger
       *[no] mehr
    }{ $over ->
        [none] { "" }
       *[other] , { FIX($over, 0) } K über der Grenze
    }
headline-named = { $sensor } { "" }
comparison-sensor-carries = { $sensor }: { FIX($change, 1, sign: 1) } ± { FIX($u95, 1) } K bei gleicher Arbeit, mehr als der Zufall unter mehreren Fühlern.
comparison-sensor-over = Über der Grenze: { $sensor } mit { FIX($after, 0) } °C am Ende; { FIX($limit, 0) } °C { $noted ->
        [yes] sind als Grenze notiert
       *[no] sind üblich: die Grenze des Herstellers notieren
    }.
effects-in-one-room = { $window }; nachher so, wie es bei { FIX($room_c, 1) } °C wäre, denn an der Grenze gibt ein Chip im kühleren Raum mehr her
quieter-place-not-marked = der Platz des Telefons war nicht für beide Aufnahmen markiert, also folgt kein Unterschied
quieter-gain-may-differ = die Verstärkung des Telefons kann sich unterscheiden: Weder der Raum allein noch sein Rauschen ist auf beiden Seiten gleich
