### calendar

calendar-service = Service fällig: { $device }, { $shop }
calendar-cycles = { $device } einmal warm werden und abkühlen lassen
calendar-cycles-how = Eine halbe Stunde Arbeit, die es erwärmt, dann aus, bis es kühl ist. Nach { $cycles } Malen hat sich die neue Schicht gesetzt.
