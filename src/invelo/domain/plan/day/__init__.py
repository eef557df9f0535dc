"""What the day makes of a session: fewer minutes, a tight place, pain, kit that is missing."""
