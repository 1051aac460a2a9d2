"""`manage.py housekeep`: what is done once a day, beside the backup."""

from __future__ import annotations

from datetime import timedelta
from typing import Any

from customers.erased import known, listed, write_down
from django.core.management import call_command
from django.core.management.base import BaseCommand
from django.db import transaction
from django.utils import timezone
from fitting.models import JudgedAnswer
from shop.models import DoneChange, Shop

from handover.erasing import erase_again, erase_unseen

REMEMBERED = timedelta(days=30)
JUDGED = timedelta(days=1)  # whoever opens a session after it has it judged anew


class Command(BaseCommand):
    help = "Forget sign-ins that ran out, changes nobody sends again, what was judged; erase who is kept no longer."

    def handle(self, *_args: Any, **_options: Any) -> None:
        call_command("clearsessions")
        erase_again(listed())
        write_down(known())
        DoneChange.objects.filter(at__lt=timezone.now() - REMEMBERED).delete()
        JudgedAnswer.objects.filter(at__lt=timezone.now() - JUDGED).delete()
        for shop in Shop.objects.filter(keep_years__gt=0):
            with transaction.atomic():
                erased = erase_unseen(shop, timezone.localdate())
            if erased:
                self.stdout.write(f"{shop}: {erased} erased, not seen for {shop.keep_years} years.")
