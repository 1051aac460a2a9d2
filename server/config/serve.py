"""One server process over the socket that the launcher holds: while a process is started anew, connections wait in it
instead of being refused. `python -m config.serve --home FOLDER` with HEMICYCLE_SOCKET, the number of the socket."""

from __future__ import annotations

import os
import socket

import uvicorn


def main() -> None:
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
