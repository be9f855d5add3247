### page-check

check-title = ¿Está intacto este informe?
check-lead = Suelte aquí el archivo de un informe. Se mira en este aparato y no va a ninguna parte; solo se pregunta por el número de su clave.
check-file = Archivo de un informe
check-hint = El .zip que le dio el taller
check-looking = Mirando { $name } …
check-none = { $name } no es el archivo de un informe, o está dañado
check-none-remedy = Tome el .zip tal como lo dio el taller; uno que se descomprimió y se volvió a comprimir es otro.
check-too-large = Un archivo así tiene hasta { $most } MB; { $name } tiene { $size }.
check-untouched = Intacto
check-untouched-words = El informe { $number } de { $shop } está como se firmó el { $day }: cada archivo, hasta el último byte.
check-draft = Es un borrador: el trabajo no se había entregado cuando se firmó.
check-version = Es la versión { $version } de este informe. Pregunte al taller si hay una más nueva.
check-repacked = El envoltorio de los archivos no es el que se escribió: se volvió a comprimir o se tocó.
check-changed = Cambiado
check-changed-words = Lo que hay en estos archivos no es lo que se firmó:
check-not-signed = No está como se firmó
check-not-signed-words = La lista de archivos cambió, o la firmó otra clave. No hay nada en él de lo que fiarse.
check-was-changed = { $name } se cambió
check-was-missing = falta { $name }
check-was-added = { $name } se añadió y no está firmado
check-key-signs = Está firmado con la clave de { $shop }, que está en uso.
check-key-retired = Está firmado con una clave de { $shop } que estuvo en uso hasta el { $day }; desde entonces firma una más nueva. Está en orden.
check-key-withdrawn = Está firmado con una clave que { $shop } retiró el { $day }: otra persona pudo tenerla. Pida el informe de nuevo al taller.
check-key-unknown = Ningún taller de aquí tiene esta clave. Pregunte a quien le dio el informe si es la suya:
check-key-offline = Ahora mismo no se pudo preguntar de quién es la clave. Pregunte al taller si es la suya:
check-old-browser = Este navegador no puede comprobar firmas de este tipo. Uno más nuevo sí, o la orden «vividowl verify».
