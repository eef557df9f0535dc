"""What changes next on a ladder, asked rule by rule in a fixed order."""
