"""Simulated golfers and practice fittings: the hidden truth. The judging code never imports this package (an import
contract)."""
