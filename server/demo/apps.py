from django.apps import AppConfig


class DemoConfig(AppConfig):
    name = "demo"
    label = "practice"  # what its table and migrations have been called from the first
