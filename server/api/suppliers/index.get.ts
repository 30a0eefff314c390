export default supplierRoutes.list()
