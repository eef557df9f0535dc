"""The floor: sessions run, sets logged, check-ins, links, live."""
