"""The rules and the computation of club fitting: no interface, no network, no clock, no files.

Quantities are SI (metres, metres a second, radians only inside functions) with two exceptions that
every launch monitor shares and that carry their unit in the name: angles in degrees (`_deg`) and
spin in revolutions a minute (`_rpm`). Right of the target is positive, seen from behind the player.
"""
