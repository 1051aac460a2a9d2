from django.apps import AppConfig


class HandoverConfig(AppConfig):
    name = "handover"

    def ready(self) -> None:
        from fitting.actions.sessions import what_was_agreed

        from .chosen import agreed_bag

        what_was_agreed(agreed_bag)
