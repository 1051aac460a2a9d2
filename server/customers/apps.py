from django.apps import AppConfig


class CustomersConfig(AppConfig):
    name = "customers"

    def ready(self) -> None:
        from shop.erased import who_was_erased

        from .erased import known

        who_was_erased(known)
