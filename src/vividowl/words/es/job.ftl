### job: lo que se acordó antes de abrir

gates-swollen-battery-can-catch-fire = Una batería hinchada puede incendiarse si se dobla o se perfora.
gates-traces-liquid-board-may-short = Rastros de líquido: la placa puede cortocircuitarse al encender.
gates-opening-may-end-warranty-or = Abrirlo puede anular la garantía o romper el sello.
gates-no-backup-confirmed = No hay copia de seguridad confirmada.
gates-power-supply-inside-holds-mains = La fuente interior tiene tensión de red.
