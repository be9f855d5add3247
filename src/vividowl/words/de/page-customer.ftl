### page-customer

customer-title = Ihr Nachweis
customer-record = Nachweis { $number }, { $day }
customer-version = Fassung { $number }. Was berichtigt wurde: { $why }
customer-opening = Ihr Nachweis wird geöffnet …
customer-keep = Aufheben
customer-pdf = Als PDF
customer-zip = Als signierte Datei, mit allem, was gemessen wurde
customer-check = Eine Datei prüfen
customer-until = Dieser Link gilt bis { $day }. Die Werkstatt zählt, wie oft er geöffnet wird, und hält sonst nichts fest.
customer-unknown = Dieser Link führt nirgendwohin
customer-withdrawn = Die Werkstatt hat diesen Link zurückgezogen
customer-over = Dieser Link ist abgelaufen
customer-often = Das wurde zu oft versucht; warten Sie eine Stunde
customer-offline = Keine Verbindung
customer-again = Noch einmal
customer-ask-shop = Fragen Sie die Werkstatt nach einem neuen.
customer-dates = Termine für Ihren Kalender
