export default supplierRoutes.restore()
