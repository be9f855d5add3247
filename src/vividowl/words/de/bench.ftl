### bench: was der Nachweis von der Werkbank sagt

sight-fins-clear = frei
sight-fins-dusty = staubig
sight-fins-felt = verfilzt
sight-fins-bent = verbogen
sight-fan-free = dreht frei
sight-fan-drags = läuft schwer
sight-fan-wobbles = wackelt
sight-contact-full = voll
sight-contact-one_sided = einseitig
sight-contact-dry_patch = trockene Stelle
sight-contact-pumped_out = ausgepumpt
sight-contact-chalk = kreidig
sight-contact-still_liquid = Phasenwechsel noch flüssig
sight-contact-alloyed = legiert
sight-plate-copper = Kupfer
sight-plate-nickel = vernickelt
sight-plate-aluminium = Aluminium
sight-surroundings-no_aluminium = kein Aluminium in der Nähe
sight-surroundings-aluminium = Aluminium neben dem Kontakt
sight-surroundings-parts_bare = blanke Bauteile um den Chip
sight-surroundings-coat_whole = alter Schutzlack heil
sight-surroundings-parts_none = keine blanken Bauteile
sight-pads-sound = in Ordnung
sight-pads-oily = ölig
sight-pads-torn = gerissen
sight-corrosion-none = keine
sight-corrosion-traces = Spuren
sight-corrosion-eaten = zerfressen
sight-battery-flat = flach
sight-battery-swollen = aufgebläht
sight-battery-leaking = undicht
part-fins = Lamellen
part-fan = Lüfter
part-contact = Abdruck
part-plate = Kühlplatte
part-surroundings = Umgebung des Chips
part-pads = Pads
part-corrosion = Korrosion
part-battery = Akku
part-with-lot =
    { $words }{ $lot ->
        [none] { "" }
       *[other] , Charge { $lot }
    }
mishap-spill_paste = Verschüttet: Paste, die nicht leitet
mishap-spill_alloy = Verschüttet: Legierung oder anderes, das leitet
mishap-broken_clip = Klammer gebrochen
mishap-torn_ribbon = Flachkabel gerissen
mishap-stripped_screw = Schraubenkopf ausgedreht
mishap-lost_screw = Schraube verloren
mishap-touched_film = Folie oder saubere Fläche berührt
mishap-too_much_paste = Zu viel Paste
mishap-other = Etwas anderes
power-boot = Startet innerhalb von 40 s
power-fans = Lüfter drehen
power-keyboard = Tastatur schreibt
power-pad = Touchpad bewegt
power-controls = Sticks und Tasten reagieren
power-picture = Bild und Ton kommen
power-drive = Disc oder Karte wird gelesen
power-charging = Akku lädt
power-wireless = Funk findet Netze
power-display = Anzeige ist heil
power-temperatures = Temperaturen sind vernünftig
interlock-power_first = Es ist noch nicht heruntergefahren und vom Netz getrennt.
interlock-cooler_on_battery = Der Akku ist noch angeschlossen; solange wird der Kühler nicht abgehoben.
interlock-battery_first = Der Akku ist noch angeschlossen.
interlock-lift_first = Der Kühler ist nicht als abgehoben vermerkt.
interlock-clean_first = Chip und Platte sind seit dem Abheben des Kühlers nicht als sauber vermerkt.
interlock-clean_between = Auf diesem Chip liegt schon etwas.
interlock-clean_between_gpu = Auf dem Grafikchip liegt schon etwas.
interlock-second_coat = Die erste Schicht des Lacks ist noch nicht aufgetragen.
interlock-coat_first = Die Bauteile um den Chip sind noch nicht isoliert.
interlock-insulate_before_alloy = Die Bauteile um den Chip sind seit der letzten Reinigung nicht als isoliert bestätigt.
interlock-no_alloy_near_aluminium = Am Kontakt oder daneben wurde Aluminium gesehen: Die Legierung zerstört es.
interlock-second_film = Die zweite Folie ist noch drauf.
interlock-interface_first = Auf dem Chip liegt nichts Neues: Auf einen blanken Chip kommt kein Kühler zurück.
interlock-interface_first_gpu = Auf dem Grafikchip liegt nichts Neues: Auf einen blanken Chip kommt kein Kühler zurück.
interlock-inspect_alloy = Die Legierung wurde seit dem Auftragen nicht unter Vergrößerung geprüft.
interlock-look_before_closing = Noch hat niemand nachgesehen, ob jede Fläche unter dem Kühler bedeckt ist.
interlock-fan_free = Es ist nicht bestätigt, dass der Lüfter frei dreht.
interlock-plugs_before_battery = Etwas ist noch ausgesteckt; der Akku kommt zuletzt.
interlock-battery_last = Der Akku ist schon angeschlossen; er kommt zuletzt.
interlock-cooler_before_power = Der Kühler ist ab: Ein Chip ohne Kühler ist in Sekunden zerstört.
interlock-interface_before_power = Der Kühler wurde abgehoben, und auf dem Chip liegt nichts Neues.
interlock-interface_before_power_gpu = Der Kühler wurde abgehoben, und auf dem Grafikchip liegt nichts Neues.
interlock-battery_before_power = Der Akku ist nicht angeschlossen.
interlock-plugs_before_power = Etwas ist noch ausgesteckt.
interlock-power_before_last_screws = Das erste Einschalten steht aus; darauf warten die letzten Schrauben.
low = { $words }
story-first-power-on-before-last =
    Erstes Einschalten vor den letzten Schrauben: { $said }{ $boot_s ->
        [none] { "" }
       *[other] ; gestartet in { SIG($boot_s) } s
    }.
story-stays-out = Bleibt draußen: { $places } ({ $words }).
story-mapped-screws-and-plugs-back = { $out } von { $places } verzeichneten Schrauben und Steckern sind zurück.
story-checks-fine = { $get } Prüfungen in Ordnung
story-seen-on-opening = Beim Öffnen gesehen: { $seen }.
story-not-looked-at-or-not = Nicht angesehen oder nicht notiert: { $unseen }.
story-worked-by-list-steps-done = Nach einer Liste von { $steps } Schritten gearbeitet, { $done } erledigt.
story-bench-work-not-closed-steps = Arbeit an der Werkbank nicht abgeschlossen: { $done } von { $steps } Schritten erledigt.
story-out-order = Außer der Reihe: { $reason } „{ $words }“ ({ $by }).
story-screws-not-mapped-nobody-counted = Schrauben nicht verzeichnet: Niemand hat sie gezählt.
story-not-checked = nicht geprüft: { $by }
story-no-such-part = nicht vorhanden: { $by }
story-planned-not-weighed = Geplant, nicht gewogen: { $planned }.
story-sight = { $part }: { $seen }
story-skipped = Ausgelassen in „{ $stage }“: Schritt { $number } ({ $words }).
story-mishap =
    { $what }{ $words ->
        [none] { "" }
       *[other] : „{ $words }“
    } ({ $by }).
story-measured = { $words }: { SIG($value) } { $unit } ({ $what }).
story-fails = versagt: { $by }
story-checked = { $text } Geprüft: { $checked }.
