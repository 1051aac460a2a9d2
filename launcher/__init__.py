"""Installing, starting, testing: standard library only, as it runs before anything is installed."""
