"""A job from intake to hand-over, and which one is next. What is measured, planned and done has its own rooms."""
