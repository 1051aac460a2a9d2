"""A customer who is nobody, to try the product with."""

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("customers", "0004_random_number")]

    operations = [
        migrations.AddField(
            model_name="customer",
            name="try_out",
            field=models.BooleanField(
                default=False,
                help_text="Nobody: made to try the product with, hit by the stand-in, and thrown away.",
            ),
        ),
    ]
