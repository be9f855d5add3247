"""python -m vividowl.host: what ./start runs. Loading takes a moment, in which Ctrl-C must be quiet too."""

import sys

try:
    from vividowl.host.launch import main

    code = main()
except KeyboardInterrupt:
    code = 130
sys.exit(code)
