### materials: wann der nächste Service ist

life-dust =
    Staub, { $surroundings ->
        [unknown] Umgebung nicht bekannt
        [normal] es steht in sauberer Umgebung
        [pets] es steht bei Tieren
        [smoke] es steht im Rauch
       *[dusty] es steht in staubiger Umgebung
    }
life-due-for-look = { $words } will angesehen werden
life-own-services = von { $cases } eigenen Services mit { $words } verlor die Hälfte den halben Gewinn innerhalb von { FIX($months, 0) } Monaten
life-by-its-drift-so-far = nach seinem bisherigen Verlauf drosselt es dann wieder
