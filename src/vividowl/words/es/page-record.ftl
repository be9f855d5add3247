### page-record

photo-pair-after-service = Después de la revisión
photo-pair-before-service = Antes de la revisión
photo-pair-before = antes
photo-pair-after = después
photo-pair-from-after-to-before = De después a antes
photo-pair-how-much-before-shown = Cuánto se ve del antes
record-room-came-in-with = Llegó con: «{ $symptom }»
record-room-before = Antes
record-room-now = Ahora
record-room-means = Qué significa
record-room-what-was-done = Qué se hizo
record-room-nothing-noted-yet = Aún no hay nada anotado.
record-room-what-to-do = Qué conviene hacer
record-room-price = Precio
record-room-warranty = Garantía de nuestro trabajo
record-room-until = hasta el { $day }
record-room-next-service = Próxima revisión
record-chart-is = Temperatura con carga a lo largo del tiempo, antes y ahora.
record-chart-degrees = { $value } °C
record-chart-minutes = { $minutes } min
record-chart-load-on = con carga
