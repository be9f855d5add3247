### page-customer

customer-title = Su informe
customer-record = Informe { $number }, { $day }
customer-version = Versión { $number }. Qué se corrigió: { $why }
customer-opening = Abriendo su informe …
customer-keep = Guardarlo
customer-pdf = En PDF
customer-zip = Como archivo firmado, con todo lo que se midió
customer-check = Comprobar un archivo
customer-until = Este enlace vale hasta el { $day }. El taller cuenta cuántas veces se abre y no guarda nada más.
customer-unknown = Este enlace no lleva a ninguna parte
customer-withdrawn = El taller retiró este enlace
customer-over = Este enlace ha caducado
customer-often = Se intentó demasiadas veces; espere una hora
customer-offline = Sin conexión
customer-again = Intentar de nuevo
customer-ask-shop = Pida uno nuevo al taller.
customer-dates = Fechas para su calendario
