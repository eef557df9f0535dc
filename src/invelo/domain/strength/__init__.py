"""From a load to reps and seconds and back: rep curves, holds, tempo, bands, capacity."""
