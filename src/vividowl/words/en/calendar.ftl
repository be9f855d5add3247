### calendar

calendar-service = Service due: { $device }, { $shop }
calendar-cycles = Let { $device } get warm once and cool down
calendar-cycles-how = Half an hour of work that warms it, then off until it is cool. After { $cycles } times the new layer has settled.
