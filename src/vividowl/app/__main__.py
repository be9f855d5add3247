"""python -m vividowl.app"""

import sys

from vividowl.app.run import main

if __name__ == "__main__":
    sys.exit(main())
