### page-check

check-title = Ist dieser Nachweis unverändert?
check-lead = Legen Sie die Datei eines Nachweises hier ab. Sie wird auf diesem Gerät angesehen und geht nirgendwohin; nur nach der Nummer ihres Schlüssels wird gefragt.
check-file = Datei eines Nachweises
check-hint = Die .zip-Datei, die Sie von der Werkstatt haben
check-looking = { $name } wird angesehen …
check-none = { $name } ist keine Datei eines Nachweises oder ist beschädigt
check-none-remedy = Nehmen Sie die .zip-Datei so, wie die Werkstatt sie gab; eine, die aus- und wieder eingepackt wurde, ist eine andere.
check-too-large = Eine solche Datei hat bis zu { $most } MB; { $name } hat { $size }.
check-untouched = Unverändert
check-untouched-words = Nachweis { $number } von { $shop } ist so, wie er am { $day } signiert wurde: jede Datei darin, bis aufs letzte Byte.
check-draft = Es ist ein Entwurf: Der Auftrag war noch nicht übergeben, als er signiert wurde.
check-version = Es ist Fassung { $version } dieses Nachweises. Fragen Sie die Werkstatt, ob es eine neuere gibt.
check-repacked = Die Hülle um die Dateien ist nicht mehr die geschriebene: Sie wurde neu gepackt oder angefasst.
check-changed = Verändert
check-changed-words = Was in diesen Dateien steht, ist nicht, was signiert wurde:
check-not-signed = Nicht so, wie er signiert wurde
check-not-signed-words = Die Liste der Dateien wurde verändert, oder ein anderer Schlüssel hat sie signiert. Auf nichts darin ist Verlass.
check-was-changed = { $name } wurde verändert
check-was-missing = { $name } fehlt
check-was-added = { $name } kam hinzu und ist nicht signiert
check-key-signs = Signiert ist er mit dem Schlüssel von { $shop }, der in Gebrauch ist.
check-key-retired = Signiert ist er mit einem Schlüssel von { $shop }, der bis { $day } in Gebrauch war; seither signiert ein neuerer. Das ist in Ordnung.
check-key-withdrawn = Signiert ist er mit einem Schlüssel, den { $shop } am { $day } zurückgezogen hat: Jemand anderes könnte ihn gehabt haben. Bitten Sie die Werkstatt um den Nachweis von neuem.
check-key-unknown = Keine Werkstatt hier hat diesen Schlüssel. Fragen Sie die, von der Sie den Nachweis haben, ob es ihrer ist:
check-key-offline = Wem der Schlüssel gehört, ließ sich gerade nicht erfragen. Fragen Sie die Werkstatt, ob es ihrer ist:
check-old-browser = Dieser Browser kann solche Signaturen nicht prüfen. Ein neuerer kann es, oder der Befehl „vividowl verify“.
