"""Programs on the command line that need the core and no database."""
