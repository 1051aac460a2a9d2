"""Files that people and programs exchange; see docs/formats."""
