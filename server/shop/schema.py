"""How the API document names the sign-in."""

from drf_spectacular.authentication import SessionScheme


class ShopSessionScheme(SessionScheme):  # type: ignore[no-untyped-call]
    target_class = "shop.sign_ins.ShopSession"
