"""The ASGI application that uvicorn serves."""

import os
from threading import Thread

from django.core.asgi import get_asgi_application
from hemicycle_core import kernels

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
application = get_asgi_application()

# What is compiled takes a second to load: nobody's first shot waits for it.
Thread(target=kernels.load, daemon=True).start()
