"""The ASGI application that uvicorn serves."""

import os
from importlib import import_module
from threading import Thread

from django.core.asgi import get_asgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
application = get_asgi_application()

# The compiled flight takes a second to load: nobody's first shot waits for it.
Thread(target=import_module, args=("hemicycle_core.flight.kernel",), daemon=True).start()
