"""What every route shares: context, problems, security, schemas of more than one part."""
