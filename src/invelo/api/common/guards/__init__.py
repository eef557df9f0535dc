"""What every request passes on its way in: names, hosts, sites, sizes, one more try."""
