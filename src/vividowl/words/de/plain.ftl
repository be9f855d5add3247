### plain

# Das Urteil für jemanden, der nichts davon versteht.
plain-before-lead = Als es gebracht wurde, lief es unter Last
plain-now-lead = { $comparable ->
    [yes] Jetzt läuft es unter derselben Last
   *[no] Beim erneuten Messen lief es
}
plain-side = { $lead }{ $die ->
    [none] { "" } mit einer Temperatur, die nicht gemessen wurde
   *[other] { "" } mit { FIX($die, 0) } °C
}{ $how ->
    [never] , ohne sich selbst bremsen zu müssen
    [held] , { FIX($held, 0) } % der Zeit von der eigenen Hitze gebremst
   *[unknown] { "" }
}{ $noise ->
    [none] { "" }
   *[other] , bei { FIX($noise, 0) } dB
}.
plain-free = Es muss sich nicht mehr bremsen, um kühl zu bleiben.
plain-held = { $less ->
    [yes] Es bremst sich weniger
   *[no] Es bremst sich mehr
}: vorher { FIX($before, 0) } % der Zeit, jetzt { FIX($after, 0) } %.
plain-warmth = Es ist { FIX($degrees, 0) } Grad { $cooler ->
    [yes] { $work ->
        [more] kühler, obwohl es mehr leistet
        [same] kühler bei gleicher Leistung
        [less] kühler; es leistete auch weniger
       *[unknown] kühler
    }
   *[no] { $work ->
        [more] wärmer; es leistet auch mehr
        [same] wärmer bei gleicher Leistung
        [less] wärmer, obwohl es weniger leistet
       *[unknown] wärmer
    }
}.
plain-work = { $more ->
    [yes] Es leistet mehr bei gleicher Temperatur
   *[no] Es leistet weniger bei gleicher Temperatur
}: vorher { FIX($before, 0) } W, jetzt { FIX($after, 0) } W.
plain-noise = Es ist { FIX($size, 1) } dB { $quieter ->
    [yes] leiser: { $how ->
        [half] etwa halb so laut oder weniger
        [clearly] deutlich leiser
       *[just] gerade hörbar leiser
    }
   *[no] lauter: { $how ->
        [half] etwa doppelt so laut oder mehr
        [clearly] deutlich lauter
       *[just] gerade hörbar lauter
    }
}.
plain-no-difference = Zwischen vorher und nachher lässt sich kein Unterschied zeigen, und es wird keiner behauptet.{ $hidden ->
    [none] { "" }
   *[other] { "" } Ein Gewinn von bis zu { FIX($hidden, 1) } Grad könnte sich in dem verbergen, was sich nicht genauer messen lässt.
}
plain-not-comparable = Die beiden Messungen liefen nicht unter gleichen Bedingungen; darum wird aus ihnen nichts behauptet.
plain-calculated = Aus Watt und Temperaturen berechnet, nicht selbst gemessen: { $words }.
plain-if-same = Das gilt, wenn { $same } wie zuvor { $assumes ->
    [one] war
   *[other] waren
}; sicher ist das nicht.
plain-fan = die Lüftereinstellung
plain-place = der Platz, an dem es stand
plain-load = die Arbeit des Geräts
plain-room = die Raumtemperatur
plain-thermometer = der Ort des Thermometers
plain-sensor = der Fühler des Geräts
plain-power = die Art, wie die Leistung gemessen wird
plain-split = der Anteil von Prozessor und Grafik
after-care-vents = Halten Sie die Lüftungsschlitze frei: Ein Tisch ist gut, Bett oder Decke nehmen ihm die Luft.
after-care-skin-limit = Nur auf einem Dock oder Ständer benutzen, nie auf dem Schoß, im Bett oder in der Hand: Die Unterseite wird bis zu { FIX($skin_high_c, 0) } °C warm und kann die Haut verbrennen. Das haben Sie so angenommen.
after-care-cover-battery-warm = Die Unterseite wird nahe dem Akku warm. Wo das Gerät es anbietet, nur bis 80 % laden, und vorbeikommen, wenn sich das Gehäuse wölbt.
after-care-alloy-carried = Ausgeschaltet und ohne Stöße tragen: Innen liegt Flüssigmetall, das beim Schütteln wandern kann.
after-care-alloy-on-copper = Flüssigmetall liegt auf Kupfer: einmal im Jahr prüfen lassen.
after-care-case = Es hat keinen Lüfter und kühlt über sein Gehäuse: Lassen Sie das Gehäuse frei und halten Sie es aus der Sonne.
after-care-dust = { $surroundings ->
    [pets] Tierhaare kommen
    [smoke] Rauch kommt
   *[dusty] Staub kommt
} dort, wo es benutzt wird, wieder; bürsten Sie die Schlitze ab und zu von außen ab, das Gerät aus und vom Netz getrennt.
after-care-runs-in = Die neue Schicht setzt sich in den ersten warmen Stunden noch. Bis dahin ist das Gemessene vorläufig: Benutzen Sie es wie gewohnt und bringen Sie es wieder, wenn es wärmer statt kühler wird.
after-care-come-back = Wird es vor dem nächsten Service wieder laut oder langsam, bringen Sie es früher.
record-promise = Der Plan versprach { FIX($low, 2) } bis { FIX($high, 2) } K/W bei gleichem Lüfter; nachher wurden { FIX($measured, 2) }{ $u95 ->
    [none] { "" }
   *[other] { "" } ± { FIX($u95, 2) }
} gemessen: { $inside ->
    [yes] wie versprochen
   *[no] nicht wie versprochen
}.
plain-sensor-over = { $sensor }: { $still ->
    [yes] noch
   *[no] jetzt
} { FIX($over, 0) } Grad über { $noted ->
    [yes] der Grenze
   *[no] dem, was üblich ist
}; bitte sprechen Sie uns darauf an.
