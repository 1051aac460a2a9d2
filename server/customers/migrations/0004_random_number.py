"""A random number of each customer, beside the counted one, which means another person on another machine."""

from django.contrib.postgres.functions import RandomUUID
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("customers", "0001_to_0003")]

    operations = [
        migrations.AddField(
            model_name="customer",
            name="uid",
            field=models.UUIDField(
                db_default=RandomUUID(),
                editable=False,
                help_text="Theirs alone, on any machine and in any backup.",
                unique=True,
            ),
        ),
    ]
