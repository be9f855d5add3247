### job: was vor dem Öffnen vereinbart wurde

gates-swollen-battery-can-catch-fire = Ein aufgeblähter Akku kann sich entzünden, wenn er gebogen oder angestochen wird.
gates-traces-liquid-board-may-short = Spuren von Flüssigkeit: Beim Einschalten kann die Platine kurzschließen.
gates-opening-may-end-warranty-or = Das Öffnen kann die Garantie beenden oder das Siegel brechen.
gates-no-backup-confirmed = Keine Datensicherung bestätigt.
gates-power-supply-inside-holds-mains = Das eingebaute Netzteil führt Netzspannung.
