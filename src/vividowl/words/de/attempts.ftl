### attempts: was der Nachweis von mehreren Versuchen sagt

cause-film = An Folie oder Pad blieb ein Schutzfilm
cause-seat = Der Kühler sitzt nicht flach
cause-lifted = Ein Pad oder Plättchen hält den Kühler vom Chip ab
cause-too_little = Zu wenig auf dem Chip, oder eine kahle Ecke
cause-fan_plug = Der Lüfter ist nicht eingesteckt oder dreht nicht
cause-not_run_in = Der Phasenwechsel hat sich noch nicht gesetzt
cause-solvent = Das Lösemittel ist nicht heraus; innen ist es noch flüssig
cause-alloy_bald = Die Legierung benetzte nicht die ganze Fläche
cause-air = Die Luft kommt nicht durch
cause-else = Etwas, das nicht auf dieser Liste steht
attempts-row-fitted = Aufgetragen
attempts-row-cleaned = Gereinigt
attempts-row-verdict = Urteil
attempts-row-resistance = Wärmewiderstand, K/W
attempts-row-interface = davon schneller als 3 s, K/W
attempts-row-noise = Geräusch, dB
attempts-row-cause = Gefundene Ursache
attempts-row-surface = Oberfläche, von 5
attempts-row-print = Abdruck, von 5
attempts-row-words = Notiert
attempts-not-measured = nicht gemessen
attempts-row-left = So belassen
attempts-figure = { FIX($value, $digits) }{ $u95 ->
    [none] {""}
   *[other] {" "}± { FIX($u95, $digits) }
  }
