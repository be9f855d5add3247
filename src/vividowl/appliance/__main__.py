"""python -m vividowl.appliance: what ./start runs. Loading takes a moment, in which Ctrl-C must be quiet too."""

import gc
import sys

try:
    gc.disable()  # nothing that is loaded becomes waste, so looking for waste meanwhile only takes time
    from vividowl.appliance.launch import main

    gc.freeze()
    gc.enable()
    code = main()
except KeyboardInterrupt:
    code = 130
sys.exit(code)
