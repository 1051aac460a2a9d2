"""One server process over the socket that the launcher holds: while a process is started anew, connections wait in it
instead of being refused. `python -m config.serve --home FOLDER` with HEMICYCLE_SOCKET, the number of the socket."""

from __future__ import annotations

import importlib
import os
import socket
import sys

import uvicorn


def wait_at_gate() -> None:
    """Read the code, then wait until the launcher says that the database is up to date; end where it ended first."""
    gate = os.environ.pop("HEMICYCLE_GATE", "")
    if not gate:
        return
    importlib.import_module("config.asgi")
    importlib.import_module("config.urls")
    if not os.read(int(gate), 1):
        sys.exit("The launcher ended before the database was up to date.")
    os.close(int(gate))


def main() -> None:
    wait_at_gate()
    proxy = os.environ.get("HEMICYCLE_PROXY", "")
    config = uvicorn.Config(
        "config.asgi:application",
        lifespan="off",
        log_level="warning",
        server_header=False,
        timeout_graceful_shutdown=3,
        # Who a forwarding header may speak for is said by whoever runs it, or nobody.
        proxy_headers=bool(proxy),
        forwarded_allow_ips=proxy or None,
    )
    uvicorn.Server(config).run(sockets=[socket.socket(fileno=int(os.environ["HEMICYCLE_SOCKET"]))])


if __name__ == "__main__":
    main()
