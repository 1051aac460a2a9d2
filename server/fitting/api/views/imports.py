"""The API of files of shots."""

from __future__ import annotations

from common.api import given, serializer_of, shown
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView
from shop.asking import actor_of

from ...actions import imports
from ..answers import changed, documented_change, row_of
from ..present.imports import present_imported, present_preview
from ..schemas.imports import ImportIn, ImportPreview, ImportResult, UndoneIn


class ImportedView(APIView):
    @documented_change(UndoneIn, name="undo_import", tags=["bag"])
    def put(self, request: Request, import_id: int) -> Response:
        """Take a file's shots back, or bring them in again."""
        undone = given(request, UndoneIn).undone
        return changed(request, imports.undo_import(actor_of(request), import_id, undone=undone).pk)


class ImportPreviewView(APIView):
    @extend_schema(
        request=serializer_of(ImportIn),
        responses=serializer_of(ImportPreview),
        operation_id="preview_import",
        tags=["bag"],
    )
    def post(self, request: Request, session_id: int) -> Response:
        """How a file would be read; changes nothing."""
        wanted = given(request, ImportIn).request()
        return Response(shown(present_preview(row_of(request, session_id), wanted)))


class ImportView(APIView):
    @extend_schema(
        request=serializer_of(ImportIn),
        responses={201: serializer_of(ImportResult)},
        operation_id="import_shots",
        tags=["bag"],
    )
    def post(self, request: Request, session_id: int) -> Response:
        result = imports.import_shots(actor_of(request), session_id, given(request, ImportIn).request())
        return Response(shown(present_imported(result)), status=201)
