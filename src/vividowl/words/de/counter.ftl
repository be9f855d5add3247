### counter

consent-leave =
    Ich lasse { $device }{ $serial ->
        [none] { "" }
       *[other] , Seriennummer { $serial },
    } bei { $shop }, damit es gemessen, geöffnet, gereinigt und gewartet wird.
consent-accessories =
    { $accessories ->
        [none] Es kam nichts weiter mit.
       *[other] Mit kamen: { $accessories }.
    }
consent-condition =
    { $marks ->
        [one] Sein Zustand wurde an einer Stelle fotografiert; ich habe das Foto gesehen.
       *[other] Sein Zustand wurde an { $marks } Stellen fotografiert; ich habe die Fotos gesehen.
    }
consent-limit =
    { $limit ->
        [none] Ein Preis ist noch nicht vereinbart: Die Werkstatt fragt, bevor sie beginnt.
       *[other] Bis { $limit } arbeitet die Werkstatt, ohne noch einmal zu fragen.
    }
consent-limits = Außerdem vereinbart: { $limits }
consent-passcode =
    { $passcode ->
        [typed_by_owner] Der Zugangscode wurde nicht genannt; wo er gebraucht wird, gebe ich ihn selbst ein.
        [kept_apart] Der Zugangscode wird getrennt vom Gerät verwahrt und bei der Abholung vernichtet.
       *[not_asked] Nach dem Zugangscode wurde nicht gefragt.
    }
consent-backup =
    { $backup ->
        [yes] Meine Daten sind gesichert.
        [no] Meine Daten sind nicht gesichert; sie können verloren gehen, und damit bin ich einverstanden.
       *[unknown] Ob meine Daten gesichert sind, ist nicht bekannt; sie können verloren gehen, und damit bin ich einverstanden.
    }
consent-warranty =
    { $warranty ->
        [running] Die Garantie des Herstellers läuft; das Öffnen kann sie beenden, und damit bin ich einverstanden.
       *[unknown] Ob die Garantie des Herstellers läuft, ist nicht bekannt; das Öffnen kann sie beenden, und damit bin ich einverstanden.
    }
pickup-device =
    Ich habe { $device }{ $serial ->
        [none] { "" }
       *[other] , Seriennummer { $serial },
    } zurück.
pickup-accessories =
    { $accessories ->
        [none] Mitgekommen war nichts weiter.
       *[other] Was mitgekommen war, ist auch zurück: { $accessories }.
    }
pickup-record =
    { $version ->
        [1] Den Nachweis des Services habe ich erhalten.
       *[other] Den Nachweis des Services habe ich erhalten, Fassung { $version }.
    }
pickup-price =
    { $price ->
        [none] Ein Preis ist nicht festgelegt.
       *[other] Der Preis ist { $price }.
    }
passcode-not_asked = nicht gefragt
passcode-typed_by_owner = gibt der Besitzer ein
passcode-kept_apart = getrennt verwahrt, bei Abholung vernichtet
place-lid = Deckel
place-screen = Bildschirm
place-keyboard = Tastatur
place-underside = Unterseite
place-edges = Kanten
place-ports = Anschlüsse
place-other = andere Stelle
ticket-title = Abholschein { $number }
ticket-pick-up = Abholung { $number }
ticket-came-in = Angenommen am { $day }
ticket-device = Gerät
ticket-customer = Kunde
ticket-serial = Seriennummer
ticket-symptom = Was nicht stimmt
ticket-ready = Fertig
ticket-mark = { $number }: { $words }
ticket-condition = Zustand
ticket-agreed = Was vereinbart ist
ticket-handed-back = Was zurückgegeben wird
ticket-signed = { $name }, { $day }
ticket-not-signed = Noch nicht unterschrieben
ticket-scan = Öffnet den Auftrag in der Werkstatt
ticket-foot = { $shop } · Schein aufheben: Das Gerät wird gegen ihn ausgegeben
quote-title = Angebot { $number }
calendar-pick-up = { $device } abholen, { $shop }
quote-do-clean = Lüfter und Kühlkörper reinigen
quote-do-repaste = erneuern, was die Wärme vom Chip leitet ({ $kind })
quote-do-pads = die Pads erneuern
quote-do-shim = ein Kupferplättchen einsetzen
quote-do-cover = Wärme in den Deckel leiten
quote-do-tune = seine Leistung sinnvoller einstellen
quote-do-fan = den Lüfter ersetzen
quote-do-leave = alles lassen, wie es ist
quote-expected = Berechnet: { FIX($low, 0) } bis { FIX($high, 0) } Grad kühler bei gleicher Leistung.
quote-takes = Dauert etwa { $minutes ->
    [one] eine Minute
   *[other] { FIX($minutes, 0) } Minuten
}, Wartezeit eingerechnet.
ticket-ready-at = { $day }, { $clock } Uhr
cap = { CAP($words) }
