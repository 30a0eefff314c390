export default supplierRoutes.get()
